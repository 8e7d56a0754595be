<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** When a fault is said to lead, so that it can be said with no connection. */
#[OA\Schema]
final readonly class PatternBoundsView
{
    public function __construct(
        /** observed repetitions looked at */
        #[OA\Property]
        public int $last,
        #[OA\Property]
        public int $least_faults,
        #[OA\Property]
        public float $least_share,
        /** a fault is back when it shows in so many */
        #[OA\Property]
        public int $returns_times,
        /** … of so many */
        #[OA\Property]
        public int $returns_of,
        /** quality falls when the last so many … */
        #[OA\Property]
        public int $window,
        /** … lie so far below the best as many */
        #[OA\Property]
        public float $fall,
    ) {}
}
