<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\SquadView;
use App\Seasons\Answers\FixtureView;

/** What was and what will be of a squad, over some weeks. */
final readonly class CalendarView
{
    public function __construct(
        /** @format date */
        public string $date,
        /** @format date */
        public string $from,
        /** @format date */
        public string $to,
        /** @format date a session may be entered late from this day on */
        public string $late_from,
        public SquadView $squad,
        /** @var list<SquadView> */
        public array $squads,
        /** @var list<CalendarSessionView> in order */
        public array $sessions,
        /** @var list<FixtureView> in order */
        public array $fixtures,
        /** @var list<PlanChangeView> of the last days, the latest first, that can still be taken back */
        public array $changes,
        /** @var list<LadderOfSquadView> what the squad works on, most athletes first */
        public array $ladders,
        /** @var list<string> where the squad has trained lately */
        public array $places,
    ) {}
}
