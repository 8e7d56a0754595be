<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A day of a season: what is planned, what was agreed to, what was done. */
#[OA\Schema]
final readonly class SeasonDayView
{
    public function __construct(
        #[OA\Property(format: 'date')]
        public string $date,
        /** missed and done: of the days gone by */
        #[OA\Property(enum: ['session', 'match', 'elsewhere', 'missed', 'done', 'rest'])]
        public string $kind,
        /** rung, stage or match */
        #[OA\Property]
        public ?string $title,
        #[OA\Property(enum: ['heavy', 'light', 'light_week', 'before_match', 'stage'])]
        public ?string $emphasis,
        #[OA\Property]
        public ?string $emphasis_name,
        #[OA\Property]
        public int $reps,
        /** of the rung’s own dose, 0 to 1 */
        #[OA\Property]
        public ?float $effort,
        #[OA\Property]
        public ?float $distance_m,
        /** stress units */
        #[OA\Property]
        public float $arm,
        /** landing units */
        #[OA\Property]
        public float $landings,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $raised,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $trims,
        /** planned as if the clearance were there by then */
        #[OA\Property]
        public bool $needs_clearance,
        /** the hard limit that stands fullest, in a sentence */
        #[OA\Property]
        public ?string $fullest,
        #[OA\Property]
        public ?float $fullest_share,
        #[OA\Property]
        public ?float $agreed_arm,
        #[OA\Property]
        public ?string $sheet_id,
        #[OA\Property]
        public bool $movable,
    ) {}
}
