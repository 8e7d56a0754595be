<?php

declare(strict_types=1);

namespace App\Flight\Answers;

use App\Wording\ServeWording;
use Augendo\Core\Flight\TwoServes;

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

    public static function of(TwoServes $two, float $first): self
    {
        return new self(
            $two->doubleFault(), $two->won(), $two->wonWithSecondTwice(), $two->worthFrom(), ServeWording::two($two, $first),
        );
    }
}
