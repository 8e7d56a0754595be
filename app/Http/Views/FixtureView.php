<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A match, or training at another club, with its expected work. */
#[OA\Schema]
final readonly class FixtureView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(enum: ['match', 'elsewhere'])]
        public string $kind,
        #[OA\Property(format: 'date')]
        public string $day,
        #[OA\Property]
        public string $starts_at,
        #[OA\Property]
        public string $title,
        /** the expected work in words */
        #[OA\Property]
        public string $sentence,
        /** null: the whole squad */
        #[OA\Property]
        public ?string $athlete_id,
        #[OA\Property]
        public ?string $athlete_name,
    ) {}
}
