<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A squad’s session: who is where when, with what. */
#[OA\Schema]
final readonly class SessionView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public int $version,
        #[OA\Property]
        public SquadView $squad,
        #[OA\Property]
        public string $title,
        #[OA\Property(format: 'date')]
        public string $day,
        #[OA\Property]
        public string $starts_at,
        #[OA\Property]
        public int $minutes,
        #[OA\Property]
        public int $adults,
        #[OA\Property]
        public int $balls,
        #[OA\Property]
        public int $balls_needed,
        #[OA\Property]
        public int $warm_up_min,
        #[OA\Property]
        public int $rotation_min,
        #[OA\Property]
        public int $cool_down_min,
        /** @var list<StationView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StationView::class))]
        public array $stations,
        /** @var list<StationGroupView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StationGroupView::class))]
        public array $groups,
        /** @var list<StationRoundView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StationRoundView::class))]
        public array $rounds,
        /** @var list<StationFlagView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StationFlagView::class))]
        public array $flags,
        /** @var list<AthleteCardView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: AthleteCardView::class))]
        public array $absent,
        /** @var list<string> against the plan that is kept */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $differences,
        /** where everybody lands; null: not said, and that counts as hard */
        #[OA\Property]
        public ?string $floor,
        #[OA\Property]
        public bool $can_undo,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $cautions,
    ) {}
}
