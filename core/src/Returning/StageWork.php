<?php

declare(strict_types=1);

namespace Augendo\Core\Returning;

use Augendo\Core\Day;
use Augendo\Core\Readiness\Word;

/** What somebody on the way back trains on a day: the engine's step, what was accepted before, and the day's word. */
final readonly class StageWork
{
    /**
     * @param  Day|null  $notBefore  the later of the engine's day and the accepted one; null when no day would do yet
     * @param  int|null  $stage  to train on the day; null: nothing of the return
     * @param  'work'|'stop'|'clear'|'wait'|'done'|'not_before'|'word'  $why
     */
    private function __construct(public ReturnStep $step, public ?Day $notBefore, public ?int $stage, public string $why) {}

    /**
     * @param  int  $stage  the current one, from 0
     * @param  list<Attempt>  $attempts  none after $on
     * @param  list<StageClearance>  $clearances
     * @param  Day|null  $accepted  the not-before day of the action accepted last
     * @param  Word  $word  of the returning place
     */
    public static function on(
        Day $on, Programme $programme, int $stage, array $attempts, array $clearances, ?Day $accepted, Word $word,
    ): self {
        $step = ReturnStep::next($on, $programme->engineStages(), $stage, $attempts, $clearances);
        if (in_array($step->action, ['stop', 'clear', 'wait', 'done'], true)) {
            return new self($step, null, null, $step->action);
        }
        $notBefore = $step->notBefore === null ? $on : $step->notBefore;
        $notBefore = $accepted === null ? $notBefore : $notBefore->latest($accepted);
        if ($notBefore->isAfter($on)) {
            return new self($step, $notBefore, null, 'not_before');
        }
        if (! $word->allowsWork()) {
            return new self($step, $notBefore, null, 'word');
        }
        // Going back needs nobody's word; going on does, so until then the stage at hand is trained.
        $due = in_array($step->action, ['step_back', 'restart'], true) ? $step->stage : $stage;

        return new self($step, $notBefore, $word === Word::Reduced ? max(0, $due - 1) : $due, 'work');
    }
}
