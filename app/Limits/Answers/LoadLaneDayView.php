<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** One day of an athlete in every measure. */
final readonly class LoadLaneDayView
{
    public function __construct(
        /** @format date */
        public string $date,
        public float $arm,
        public float $hand,
        public float $trunk,
        public float $landings,
        public float $high_reps,
        public float $metres,
        /** minutes × session exertion */
        public float $internal,
        public float $planned_arm,
        public float $planned_hand,
        public float $planned_trunk,
        public float $planned_landings,
        public float $planned_high_reps,
        public float $planned_metres,
        /** arm units of the seven days up to it, planned too */
        public float $week,
        /** what the arm step allows those seven days */
        public ?float $week_max,
        /** weighted, arm */
        public ?float $ratio,
        /** the worst score; null: nobody asked */
        public ?int $soreness,
        /** in a layoff of eight days or more */
        public bool $idle,
    ) {}
}
