<?php

declare(strict_types=1);

namespace Augendo\Core\Returning;

use Augendo\Core\Day;

/** What comes next on the way back, and the first day for it. */
final readonly class ReturnStep
{
    /**
     * @param  'stop'|'restart'|'step_back'|'clear'|'start'|'wait'|'repeat'|'done'|'advance'  $action
     * @param  Day|null  $notBefore  null with stop, clear, wait and done
     */
    private function __construct(public string $action, public int $stage, public ?Day $notBefore) {}

    /**
     * @param  non-empty-list<Stage>  $stages
     * @param  int  $stage  the current one, from 0
     * @param  list<Attempt>  $attempts  none after $on
     * @param  list<StageClearance>  $clearances
     */
    public static function next(Day $on, array $stages, int $stage, array $attempts, array $clearances): self
    {
        usort($attempts, fn (Attempt $a, Attempt $b): int => $a->day->ordinal <=> $b->day->ordinal);
        $gap = $stages[$stage]->minGapDays;
        $last = $attempts === [] ? null : $attempts[count($attempts) - 1];
        $stops = array_values(array_filter($attempts, fn (Attempt $attempt): bool => $attempt->isStopEvent()));
        $lastStop = $stops === [] ? null : $stops[count($stops) - 1];
        $cleared = function (int $stage) use ($clearances, $lastStop): bool {
            foreach ($clearances as $clearance) {
                if ($clearance->covers($stage) && ($lastStop === null || $clearance->day->isAfter($lastStop->day))) {
                    return true;
                }
            }

            return false;
        };

        if ($lastStop !== null && ! $cleared(max($stage - 1, 0))) {
            return new self('stop', $stage, null);
        }
        if ($last !== null) {
            $idle = $on->daysSince($last->day);
            if ($idle >= 29 && $stage > 0) {
                return new self('restart', 0, $on);
            }
            $lowered = max($last->stage - ($idle >= 15 ? 2 : 1), 0);
            if ($idle >= 8 && $stage > $lowered) {
                return new self('step_back', $lowered, $on);
            }
            $lowered = max($last->stage - 1, 0);
            if ($last->isStopEvent() && $stage > $lowered) {
                return new self('step_back', $lowered, $on->latest($last->day->plus($gap + 1)));
            }
        }
        if ($stages[$stage]->needsClearance && ! $cleared($stage)) {
            return new self('clear', $stage, null);
        }
        if ($last === null) {
            return new self('start', $stage, $on);
        }

        return self::afterAttempt($on, $stages, $stage, $attempts, $last);
    }

    /**
     * @param  non-empty-list<Stage>  $stages
     * @param  non-empty-list<Attempt>  $attempts
     */
    private static function afterAttempt(Day $on, array $stages, int $stage, array $attempts, Attempt $last): self
    {
        $gap = $stages[$stage]->minGapDays;
        $idle = $on->daysSince($last->day);
        $after = fn (int $days): Day => $on->latest($last->day->plus($days));

        if ($idle < 8 && $last->nextMorning === null) {
            return new self('wait', $stage, null);
        }
        if ($last->isSore() && $last->stage < $stage) {
            return new self('step_back', $last->stage, $after($gap + 1));
        }
        if ($last->stage !== $stage || $idle >= 8) {
            return new self('start', $stage, $after($gap + ($last->isSore() || $last->isStopEvent() ? 1 : 0)));
        }
        if ($last->isSore()) {
            return new self('step_back', max($stage - 1, 0), $after($gap + 1));
        }
        $easedButSore = ($last->during === 3 || $last->during === 4) && $last->eased;
        if (! $last->completed || $easedButSore || $last->isStopEvent()) {
            return new self('repeat', $stage, $after($gap));
        }
        $clean = 0;
        for ($i = count($attempts) - 1; $i >= 0 && $attempts[$i]->stage === $stage; $i--) {
            $clean += $attempts[$i]->isClean() ? 1 : 0;
        }
        if ($clean < $stages[$stage]->passes) {
            return new self('repeat', $stage, $after($gap));
        }

        return $stage === count($stages) - 1
            ? new self('done', $stage, null)
            : new self('advance', $stage + 1, $after($stages[$stage + 1]->minGapDays));
    }
}
