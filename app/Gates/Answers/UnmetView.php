<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** A measurement the stage still asks for. */
final readonly class UnmetView
{
    public function __construct(
        public string $id,
        public string $label,
        public string $unit,
        /** injured over sound side */
        public float $at_least,
    ) {}
}
