<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What is ahead of a squad. */
#[OA\Schema]
final readonly class PlanView
{
    public function __construct(
        #[OA\Property(format: 'date')]
        public string $date,
        #[OA\Property]
        public SquadView $squad,
        /** @var list<SquadView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SquadView::class))]
        public array $squads,
        /** @var list<PlannedSessionView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlannedSessionView::class))]
        public array $sessions,
        /** @var list<FixtureView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FixtureView::class))]
        public array $fixtures,
        /** @var list<SeasonRowView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonRowView::class))]
        public array $seasons,
        /** seasons kept for the whole squad whose weeks are still to be worked out */
        #[OA\Property]
        public int $working_out,
        /** @var list<AthleteCardView> athletes on a ladder without a season */
        #[OA\Property(type: 'array', items: new OA\Items(ref: AthleteCardView::class))]
        public array $without,
        /** @var list<NamedView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))]
        public array $skills,
    ) {}
}
