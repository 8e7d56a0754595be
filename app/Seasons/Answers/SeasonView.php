<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\NamedView;

/** A season as it stands: agreed, done and planned from today. */
final readonly class SeasonView
{
    public function __construct(
        /** null: not kept yet */
        public ?string $id,
        public int $version,
        public AthleteCardView $athlete,
        /**
         * today
         *
         * @format date
         */
        public string $date,
        public string $ladder,
        public string $ladder_name,
        /** @var list<string> ladders of the athlete's other seasons, which it is planned around */
        public array $others,
        /** @var list<NamedView> */
        public array $rungs,
        public string $current_rung,
        public ?string $goal_rung,
        /** @format date */
        public string $starts_on,
        /** @format date */
        public string $goal_on,
        /** @var list<int> */
        public array $weekdays,
        public ?int $minutes,
        /** whether it has test days */
        public bool $tests,
        /** what is measured on them; null: nothing of this skill is, or not at this age */
        public ?string $tested,
        /** @var array<string, string>|\stdClass from day to day */
        public array|\stdClass $moves,
        /**
         * @var list<string>
         *
         * @format date
         */
        public array $off,
        public ?string $agreed_at,
        /** the rung by the goal day */
        public ?string $reached,
        /**
         * the day the way back is expected to end
         *
         * @format date
         */
        public ?string $return_done,
        /** @var list<SeasonProblemView> */
        public array $problems,
        /** what was missed since, in a sentence */
        public ?string $missed,
        /** whether the plan of today is another one than the agreed */
        public bool $differs,
        /** @var list<SeasonChangeView> what differs ahead, by day */
        public array $changes,
        /** @var list<ExpectedRungView> up to the goal, in order */
        public array $expected,
        /** what the expected days rest on, in a sentence */
        public string $learning,
        /** what the doses were begun from, in sentences */
        public string $begun_from,
        public HeededView $heeded,
        /** @var list<SuggestionView> what the record says about it, to whoever decides */
        public array $suggestions,
        /** @var list<SeasonWeekView> */
        public array $weeks,
        /** @var list<SeasonPointView> */
        public array $curve,
        /** @var list<string> */
        public array $cautions,
    ) {}
}
