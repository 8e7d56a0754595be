<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** Scores of one kind and name, against their own past. */
final readonly class ScoreSeriesView
{
    public function __construct(
        /** @var 'target_round'|'clear_targets'|'in_a_row'|'serve_game'|'grouping' */
        public string $kind,
        public string $name,
        public string $best,
        public string $last,
        public ?string $goal,
        public bool $goal_reached,
        public bool $less_is_better,
        /** @var list<float> */
        public array $trend,
        /** @var list<ScoreView> newest first */
        public array $scores,
        /** of the last one */
        public ?GroupingView $grouping,
    ) {}
}
