<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** A session of the squad ahead. */
final readonly class PlannedSessionView
{
    public function __construct(
        public string $id,
        /** @format date */
        public string $day,
        public string $starts_at,
        public string $title,
        public int $sheets,
        /** planned in all */
        public int $reps,
    ) {}
}
