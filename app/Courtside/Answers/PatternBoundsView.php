<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** When a fault is said to lead, so that it can be said with no connection. */
final readonly class PatternBoundsView
{
    public function __construct(
        /** observed repetitions looked at */
        public int $last,
        public int $least_faults,
        public float $least_share,
        /** of two that come together, each */
        public int $least_each,
        /** a fault is back when it shows in so many */
        public int $returns_times,
        /** … of so many */
        public int $returns_of,
        /** quality falls when the last so many … */
        public int $window,
        /** … lie so far below the best as many */
        public float $fall,
    ) {}
}
