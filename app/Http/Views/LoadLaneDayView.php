<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One day of an athlete in every measure. */
#[OA\Schema]
final readonly class LoadLaneDayView
{
    public function __construct(
        #[OA\Property(format: 'date')]
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
        public float $metres,
        /** minutes × session exertion */
        #[OA\Property]
        public float $internal,
        #[OA\Property]
        public float $planned_arm,
        #[OA\Property]
        public float $planned_hand,
        #[OA\Property]
        public float $planned_trunk,
        #[OA\Property]
        public float $planned_landings,
        #[OA\Property]
        public float $planned_high_reps,
        #[OA\Property]
        public float $planned_metres,
        /** arm units of the seven days up to it, planned too */
        #[OA\Property]
        public float $week,
        /** what the arm step allows those seven days */
        #[OA\Property]
        public ?float $week_max,
        /** weighted, arm */
        #[OA\Property]
        public ?float $ratio,
        /** the worst score; null: nobody asked */
        #[OA\Property]
        public ?int $soreness,
        /** in a layoff of eight days or more */
        #[OA\Property]
        public bool $idle,
    ) {}
}
