<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Sessions\Answers\AttendanceView;
use App\Sessions\Answers\CoachNoteView;

/** A session of a squad in one look: what all did, who moves on, what next. */
final readonly class SquadAfterView
{
    public function __construct(
        public string $session_id,
        public string $title,
        /** @format date */
        public string $day,
        public string $starts_at,
        /** since the first repetition, to finish with; null when nothing was counted */
        public ?int $minutes,
        /** who is counted and not finished */
        public int $open,
        /** @var list<SquadAfterRowView> who was counted: those first who can move on, then those to look at */
        public array $rows,
        /** @var list<AthleteCardView> nothing was counted for them */
        public array $not_counted,
        public ?SharedFaultView $shared,
        public AttendanceView $attendance,
        /** @var list<CoachNoteView> written at it, for the next one */
        public array $notes,
        public bool $decides,
    ) {}
}
