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
    ) {}
}
