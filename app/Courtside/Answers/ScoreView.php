<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** One score. */
final readonly class ScoreView
{
    public function __construct(
        public string $id,
        /** @format date */
        public string $day,
        public string $value,
        public string $detail,
        public bool $best,
        /** repetitions it counts as load; 0: they were tapped courtside */
        public int $load_reps,
    ) {}
}
