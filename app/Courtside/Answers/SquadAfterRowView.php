<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\RungRefView;
use App\Sessions\Answers\SheetRefView;

/** What one of a squad did, and what the gate proposes. */
final readonly class SquadAfterRowView
{
    public function __construct(
        public SheetRefView $sheet,
        public AthleteCardView $athlete,
        public int $good,
        public int $observed,
        public string $strip,
        /** the fault that leads, in words */
        public ?string $pattern,
        public ?RungRefView $rung,
        /** @var 'pause'|'step_back'|'advance'|'repeat'|'hold'|'collect'|null null: a return decides, or no ladder does */
        public ?string $proposed,
        /** what it waits for, or what decides instead, in a sentence */
        public ?string $why,
        /** @var 'ready'|'watch'|'stuck'|'rest'|'return' */
        public string $group,
        /** stays on the rung: may be taken for all at once */
        public bool $together,
        /** what was decided since the session, in a word; null: nothing yet */
        public ?string $decided,
        /** of what is known of the athlete: a decision taken for all holds only while it is the same */
        public int $revision,
        /** @var list<string> soreness that grew while working */
        public array $grew,
        /** @format date the next session; null: none is planned */
        public ?string $next_on,
    ) {}
}
