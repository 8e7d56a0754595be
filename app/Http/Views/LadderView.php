<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A ladder as this athlete climbs it. */
#[OA\Schema]
final readonly class LadderView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $summary,
        /** @var list<RungView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RungView::class))]
        public array $rungs,
        #[OA\Property]
        public string $current,
        #[OA\Property]
        public ?string $next,
        #[OA\Property]
        public ?string $previous,
        #[OA\Property]
        public GateView $gate,
        #[OA\Property]
        public string $gate_asks,
        #[OA\Property]
        public string $skill,
        #[OA\Property]
        public ProgressView $progress,
        /** how long a set stays good, in a sentence; null while nothing shows */
        #[OA\Property]
        public ?string $set_length,
        /** whether two people see the same on this rung; null while too little was judged by two */
        #[OA\Property]
        public ?string $agreement,
        #[OA\Property(ref: MatchReadyView::class, nullable: true)]
        public ?MatchReadyView $match_ready,
        #[OA\Property(ref: PlacingView::class, nullable: true)]
        public ?PlacingView $placing,
    ) {}
}
