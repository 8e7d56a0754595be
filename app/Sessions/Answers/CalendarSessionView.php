<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A session of the squad on the calendar. */
final readonly class CalendarSessionView
{
    public function __construct(
        public string $id,
        public int $version,
        /** @format date */
        public string $day,
        public string $starts_at,
        public ?int $minutes,
        public string $title,
        public ?string $place,
        /** @var 'planned'|'called_off' */
        public string $state,
        /** why it was called off */
        public ?string $reason,
        /** one of several, week after week */
        public bool $repeats,
        /** made by a season for a day on which the squad has none */
        public bool $extra,
        /** somebody counted in it: it can be closed, not moved */
        public bool $counted,
        /** somebody is counted in it and not finished */
        public bool $open,
        /** some of its sheets are still to be fitted */
        public bool $waiting,
        /** put on the calendar after its day */
        public bool $entered_late,
        public int $athletes,
        /** planned in all; null: too far ahead, sheets are made when the day comes near */
        public ?int $planned_reps,
        public int $done_reps,
        /** @format date where it was before it was moved */
        public ?string $moved_from,
    ) {}
}
