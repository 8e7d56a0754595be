<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

use App\Athletes\Answers\NamedView;

/** One of the skills that are planned together. */
final readonly class SkillSeasonView
{
    public function __construct(
        public string $ladder,
        public string $ladder_name,
        /** null: not kept yet */
        public ?string $season_id,
        public ?int $version,
        /** @var list<NamedView> */
        public array $rungs,
        public string $current_rung,
        public ?string $goal_rung,
        public string $goal_on,
        /** @var list<int> ISO weekdays */
        public array $weekdays,
        public ?int $minutes,
        /** days on which it may be heavy; null: any */
        public ?string $leads,
        /** where it gets to, and what it gives up for the others */
        public string $outlook,
        /** whether the goal is in time */
        public bool $in_time,
        /** judged repetitions of its rungs, in all */
        public int $reps,
        /** the same if it were the only skill */
        public int $reps_alone,
        /** @var list<string> limits that took something from it, and on how many days */
        public array $held_back,
    ) {}
}
