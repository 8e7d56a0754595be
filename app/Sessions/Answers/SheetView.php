<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\RungRefView;
use App\Courtside\Answers\FaultView;
use App\Limits\Answers\TapeView;
use App\Returns\Answers\ReturnRefView;

/** A session sheet of one athlete. */
final readonly class SheetView
{
    public function __construct(
        public string $id,
        public int $version,
        /** @var 'planned'|'running'|'finished'|'called_off' */
        public string $state,
        public string $held_on,
        public string $title,
        public string $starts_at,
        public AthleteCardView $athlete,
        public RungRefView $rung,
        public string $rung_goal,
        public bool $outcome_ignored,
        /** @var list<string> the schools it is taught by, where they are not the library’s */
        public array $taught_by,
        /** @var 'full'|'unknown'|'reduced'|'none'|'refer' */
        public string $word,
        public string $why,
        /** @var list<string> */
        public array $cautions,
        /** @var list<BlockView> */
        public array $blocks,
        /** @var list<string> trims of the whole sheet; those of a block stand beside it */
        public array $trims,
        /** @var list<TapeView> binding first */
        public array $tapes,
        /** @var list<string> why these doses cannot be saved */
        public array $broken,
        public string $rule_notice,
        /** null: the work the session is for stands */
        public ?SwapStateView $swap,
        /** the return whose stage this sheet is, or which it waits for */
        public ?ReturnRefView $return,
        /** @var list<FaultView> two or three at most, the most important first */
        public array $focus,
        /** minutes the session takes, by the clock of its blocks */
        public int $minutes,
        public string $session_id,
        /** @var list<CoachNoteView> written at the session before, for those who run sessions */
        public array $notes,
    ) {}
}
