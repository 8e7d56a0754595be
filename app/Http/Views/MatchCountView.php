<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What counting a match needs with no connection. */
#[OA\Schema]
final readonly class MatchCountView
{
    public function __construct(
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property(format: 'date')]
        public string $date,
        /** of the match of the day, when one is declared */
        #[OA\Property]
        public string $title,
        /** one repetition counts at this effort */
        #[OA\Property]
        public float $effort,
        /** @var list<MatchSkillView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: MatchSkillView::class))]
        public array $skills,
        /** @var list<BoundView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BoundView::class))]
        public array $bounds,
        #[OA\Property]
        public ?string $emergency,
        /** @var list<string> ids of today’s logged work that is taken off the bounds already */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $logged,
    ) {}
}
