<?php

declare(strict_types=1);

namespace App\Flight\Answers;

/** Two tries as one policy; shares from 0 to 1. */
final readonly class TwoServesView
{
    public function __construct(
        public float $double_fault,
        public float $won,
        public float $won_with_second_twice,
        /** the share of first serves from which on it is worth its risk; null: none makes it so */
        public ?float $worth_from,
        public string $said,
    ) {}
}
