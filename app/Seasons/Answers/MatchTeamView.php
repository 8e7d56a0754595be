<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

use App\Athletes\Answers\NamedView;

/** A match of a squad: who plays, what each is expected to do, what was counted. */
final readonly class MatchTeamView
{
    public function __construct(
        public string $id,
        public string $title,
        /** @format date */
        public string $day,
        public string $starts_at,
        public string $date,
        /** whether somebody has said who plays; until then it counts for everybody */
        public bool $lined_up,
        /** @var list<NamedView> skills of the match */
        public array $skills,
        /** @var list<MatchPlayerView> of the squad, in running order */
        public array $players,
    ) {}
}
