<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** What somebody who ran a session wants remembered. */
final readonly class CoachNoteView
{
    public function __construct(
        /** null: of the squad */
        public ?string $athlete_id,
        public string $text,
        public string $by,
        /** written by whoever reads it: it can be changed */
        public bool $own,
        /** @format date of the session it was written at */
        public string $day,
    ) {}
}
