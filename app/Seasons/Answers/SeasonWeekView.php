<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** A week of a season, Monday to Sunday. */
final readonly class SeasonWeekView
{
    public function __construct(
        /** from 1 */
        public int $number,
        /** @format date */
        public string $monday,
        public bool $lighter,
        /** some of its days are the last before the goal */
        public bool $fresh,
        /** @var list<string> rungs begun in it */
        public array $begins,
        /** judged repetitions that are planned */
        public int $own_reps,
        /** the hard limit that stands fullest on any of its days, by name */
        public ?string $fullest,
        public ?float $fullest_share,
        /** done and planned */
        public float $arm,
        public float $arm_done,
        /** what the step limit allows on its last day */
        public ?float $arm_max,
        public float $landings,
        /** @var list<SeasonDayView> */
        public array $days,
    ) {}
}
