<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A session somebody may have come to. */
final readonly class AttendedSessionView
{
    public function __construct(
        public string $session_id,
        /** @format date */
        public string $day,
        public string $title,
    ) {}
}
