<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** Scores of one kind and name, against their own past. */
final readonly class ScoreSeriesView
{
    public function __construct(
        /** @var 'target_round'|'clear_targets'|'in_a_row'|'serve_game'|'grouping'|'timed_gaps' */
        public string $kind,
        public string $name,
        /** of a round played courtside, see Scoring\Round; null: it was entered by itself, under its name */
        public ?string $setup,
        public string $best,
        public string $last,
        public ?string $goal,
        /** how many came out well in the scores shown, with the range; null: it is no share of anything */
        public ?string $rate,
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
