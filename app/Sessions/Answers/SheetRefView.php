<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A session sheet by its state. */
final readonly class SheetRefView
{
    public function __construct(
        public string $id,
        public string $title,
        public string $starts_at,
        public string $held_on,
        /** @var 'planned'|'running'|'finished' */
        public string $state,
        public int $planned_reps,
        public int $done_reps,
        public int $trims,
        /** whether trimming left no counted repetition */
        public bool $nothing_left,
    ) {}
}
