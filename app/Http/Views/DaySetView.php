<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One set as it was done. */
#[OA\Schema]
final readonly class DaySetView
{
    public function __construct(
        #[OA\Property]
        public string $what,
        #[OA\Property]
        public string $source,
        #[OA\Property]
        public int $reps,
        #[OA\Property]
        public ?float $effort,
        #[OA\Property]
        public ?float $distance_m,
        #[OA\Property]
        public string $side,
        #[OA\Property]
        public float $arm,
        #[OA\Property]
        public float $hand,
        #[OA\Property]
        public float $trunk,
        #[OA\Property]
        public float $landings,
    ) {}
}
