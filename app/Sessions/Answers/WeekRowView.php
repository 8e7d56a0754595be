<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\AthleteCardView;

/** One athlete's week. */
final readonly class WeekRowView
{
    public function __construct(
        public AthleteCardView $athlete,
        public bool $on_the_way_back,
        /** what a clinician restricts in this week */
        public ?string $restricted,
        /** @var list<WeekDayView> Monday to Sunday */
        public array $days,
    ) {}
}
