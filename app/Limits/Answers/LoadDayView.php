<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** One day of the load axis. */
final readonly class LoadDayView
{
    public function __construct(
        public string $date,
        public float $arm,
        public float $hand,
        public float $trunk,
        public float $landings,
        public float $high_reps,
        public float $reps,
        public float $planned_arm,
        public float $planned_landings,
    ) {}
}
