<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** The judged repetitions of one session: what a good rate is made of. */
final readonly class JudgedSessionView
{
    public function __construct(
        public string $sheet_id,
        public string $day,
        /** in order: g, b or u each, a capital for a safety fault */
        public string $marks,
        /** whether the gate looks at it: older ones are there to be read */
        public bool $counts,
    ) {}
}
