<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** The squad in running order. */
#[OA\Schema]
final readonly class TodayView
{
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property(ref: SquadView::class)]
        public SquadView $squad,
        /** @var list<SquadView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SquadView::class))]
        public array $squads,
        #[OA\Property]
        public string $rule_set,
        #[OA\Property]
        public string $rule_notice,
        /** sheets that wait to be fitted to a change for the squad */
        #[OA\Property]
        public int $refitting,
        /** @var list<LibraryProblemView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LibraryProblemView::class))]
        public array $problems,
        /** @var list<TodayRowView|\stdClass> a kept row comes as it was written */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TodayRowView::class))]
        public array $rows,
    ) {}
}
