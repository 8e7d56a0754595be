<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

use Augendo\Core\Day;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Readiness\Word;

/**
 * A decision to move on, held once more against its repetitions after some of them were put right. What was not about repetitions
 * (soreness, word, load, clearance) was true then and stays as it was kept.
 */
final class SecondLook
{
    /** So long after a decision it is put before the coach; later the rungs above have their own evidence. */
    public const WITHIN_DAYS = 60;

    private const OF_REPS = [Criterion::Evidence, Criterion::Mechanics, Criterion::Streak, Criterion::Safety, Criterion::Fade];

    /**
     * @param  GateResult  $then  as it was kept
     * @param  list<string>  $overridden  criteria the coach decided against, with a reason
     * @param  list<JudgedRep>  $reps  what stands today of the repetitions from before the decision
     * @return list<Criterion> those that passed then and do not with these repetitions
     */
    public static function failing(Gate $gate, GateResult $then, array $overridden, array $reps, Day $decidedOn): array
    {
        $now = self::again($gate, $reps, $decidedOn);
        $passed = fn (Criterion $of): bool => ($then->criteria[$of->value] ?? null) === Verdict::Pass;

        return array_values(array_filter(
            self::OF_REPS,
            fn (Criterion $of): bool => $passed($of)
                && isset($now->criteria[$of->value])
                && $now->criteria[$of->value] !== Verdict::Pass
                && ! in_array($of->value, $overridden, true),
        ));
    }

    /**
     * The gate with these repetitions and nothing else against it.
     *
     * @param  list<JudgedRep>  $reps
     */
    public static function again(Gate $gate, array $reps, Day $decidedOn): GateResult
    {
        return GateResult::of($gate, $decidedOn, new GateEvidence(
            reps: $reps, soreness: [], word: Word::Full, loadOk: true, prerequisitesOk: true, clearanceOk: null,
        ));
    }
}
