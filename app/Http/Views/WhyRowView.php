<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One set behind a figure. */
#[OA\Schema]
final readonly class WhyRowView
{
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public string $what,
        #[OA\Property]
        public int $reps,
        #[OA\Property]
        public ?float $effort,
        #[OA\Property]
        public ?float $distance_m,
        #[OA\Property]
        public string $side,
        #[OA\Property]
        public float $amount,
    ) {}
}
