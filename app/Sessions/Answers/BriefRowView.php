<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\AthleteCardView;

/** One athlete of a session, for whoever stands in. */
final readonly class BriefRowView
{
    public function __construct(
        public string $sheet_id,
        public AthleteCardView $athlete,
        public string $rung_name,
        public string $goal,
        /** @var list<DoseLineView> */
        public array $doses,
        /** @var list<string> what to look at first */
        public array $look_for,
        /** @var list<string> what they must not do today, without the reason */
        public array $must_not,
        /** @var list<CoachNoteView> of the session before */
        public array $before,
    ) {}
}
