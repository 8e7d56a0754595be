<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** One athlete's day: what was done, what is planned, and how full that makes the limit that stops first. */
final readonly class WeekDayView
{
    public function __construct(
        public string $day,
        /** @var list<WeekSheetView> */
        public array $sheets,
        /** @var list<string> matches of the day */
        public array $matches,
        /** @var list<string> training at another club */
        public array $elsewhere,
        /** @var list<string> strength, bands, sprints, with their hour */
        public array $beside,
        public ?string $away,
        public int $done_reps,
        public int $planned_reps,
        /** share of the limit that stops first that is done; 1 is full */
        public float $done_share,
        /** the same limit with what is planned */
        public float $share,
        /** the limit that stops first */
        public ?string $stops_first,
    ) {}
}
