<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

use App\Athletes\Answers\AthleteCardView;

/** All skills of an athlete in one plan. */
final readonly class SkillsView
{
    public function __construct(
        public AthleteCardView $athlete,
        public string $date,
        public bool $evenly,
        /** @var list<SkillSeasonView> in the coach's order */
        public array $skills,
        /** @var list<OtherSkillView> other ladders the athlete stands on */
        public array $others,
        /** whether every season is kept as it is shown */
        public bool $kept,
        /** what it was chosen for, and from how many */
        public string $chosen,
        /** what the next best way of sharing the week out would cost; null: there is no other, or it costs nothing */
        public ?string $next_best,
        /** null: every skill has days of its own */
        public ?string $undivided,
        /** @var list<SkillsWeekView> */
        public array $weeks,
        /** @var list<string> */
        public array $cautions,
    ) {}
}
