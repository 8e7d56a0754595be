<?php

declare(strict_types=1);

namespace App\Limits\Answers;

use Augendo\Core\Load\Side;

/** One set behind a figure. */
final readonly class WhyRowView
{
    public function __construct(
        public string $date,
        public string $what,
        public int $reps,
        public ?float $effort,
        public ?float $distance_m,
        /** @var value-of<Side> */
        public string $side,
        public float $amount,
    ) {}
}
