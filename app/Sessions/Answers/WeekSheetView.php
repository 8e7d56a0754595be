<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A sheet of one athlete in the week. */
final readonly class WeekSheetView
{
    public function __construct(
        public string $id,
        public string $session_id,
        public string $title,
        public string $starts_at,
        /** @var 'planned'|'running'|'finished' */
        public string $state,
        public int $planned_reps,
    ) {}
}
