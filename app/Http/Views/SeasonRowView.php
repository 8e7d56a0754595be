<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A season in one line. */
#[OA\Schema]
final readonly class SeasonRowView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property]
        public string $ladder_name,
        #[OA\Property]
        public ?string $goal,
        #[OA\Property(format: 'date')]
        public string $goal_on,
        #[OA\Property]
        public ?string $missed,
    ) {}
}
