<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One day of the load axis. */
#[OA\Schema]
final readonly class LoadDayView
{
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public float $arm,
        #[OA\Property]
        public float $hand,
        #[OA\Property]
        public float $trunk,
        #[OA\Property]
        public float $landings,
        #[OA\Property]
        public float $high_reps,
        #[OA\Property]
        public float $reps,
        #[OA\Property]
        public float $planned_arm,
        #[OA\Property]
        public float $planned_landings,
    ) {}
}
