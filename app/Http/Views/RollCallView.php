<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** The whole squad on one screen. */
#[OA\Schema]
final readonly class RollCallView
{
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public SquadView $squad,
        /** @var list<SquadView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SquadView::class))]
        public array $squads,
        /** @var list<RollCallRowView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RollCallRowView::class))]
        public array $rows,
        #[OA\Property]
        public string $not_answered_means,
    ) {}
}
