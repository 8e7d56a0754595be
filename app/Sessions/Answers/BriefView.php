<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A session for whoever stands in: who, what, what to look for, what must not be. Nothing of why. */
final readonly class BriefView
{
    public function __construct(
        public string $session_id,
        public string $title,
        /** @format date */
        public string $day,
        public string $starts_at,
        public ?string $place,
        /** @var list<BriefRowView> */
        public array $rows,
        /** @var list<CoachNoteView> of the squad, from the session before */
        public array $before,
        /** @var list<CoachNoteView> written at this one */
        public array $notes,
        /** @var list<string> of the ladders that are worked on */
        public array $cautions,
    ) {}
}
