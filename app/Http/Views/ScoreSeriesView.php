<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Scores of one kind and name, against their own past. */
#[OA\Schema]
final readonly class ScoreSeriesView
{
    public function __construct(
        #[OA\Property(enum: ['target_round', 'clear_targets', 'in_a_row', 'serve_game', 'grouping'])]
        public string $kind,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $best,
        #[OA\Property]
        public string $last,
        #[OA\Property]
        public ?string $goal,
        #[OA\Property]
        public bool $goal_reached,
        #[OA\Property]
        public bool $less_is_better,
        /** @var list<float> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))]
        public array $trend,
        /** @var list<ScoreView> newest first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ScoreView::class))]
        public array $scores,
        /** of the last one */
        #[OA\Property]
        public ?GroupingView $grouping,
    ) {}
}
