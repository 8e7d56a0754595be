<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

use Augendo\Core\Day;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Mechanics\Statistics;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Tolerance;

/** The gate held against its evidence: each criterion with its figures, and what follows. */
final readonly class GateResult
{
    private const FADE_LEAST_REPS = 9;

    /** A date with fewer observed repetitions is no look. */
    private const LOOK_LEAST_REPS = 4;

    /** After a look that failed, so many in a row must have passed. */
    private const LOOKS_TO_CONFIRM = 2;

    /**
     * @param  array<string, Verdict>  $criteria  by criterion name, in the order they are told
     * @param  float|null  $rate  good over observed; null without observed reps
     * @param  int  $bestRun  longest run of good reps within one session of the window
     * @param  float|null  $fade  good rate of the first third less that of the last, in the latest session; null when not judged
     * @param  bool  $awaitsConfirmation  whether rate and bound would pass, but a look failed and the last two did not both pass
     * @param  int|null  $worstSoreness  highest score of the soreness days; null without a report
     * @param  bool  $morningAfter  whether a morning report follows the last rep's day
     */
    private function __construct(
        public GateDecision $decision,
        public array $criteria,
        public int $observed,
        public int $good,
        public ?float $rate,
        public ?float $lowerBound,
        public int $observedDays,
        public int $bestRun,
        public int $safetyFaults,
        public ?float $fade,
        public ?int $worstSoreness,
        public bool $morningAfter,
        public ?Day $lastRepDay,
        public bool $awaitsConfirmation = false,
    ) {}

    /** @return array<string, mixed> figures and verdicts alone, to be kept and read again by fromArray() */
    public function toArray(): array
    {
        return [
            'decision' => $this->decision->value,
            'criteria' => array_map(fn (Verdict $verdict): string => $verdict->value, $this->criteria),
            'observed' => $this->observed,
            'good' => $this->good,
            'rate' => $this->rate,
            'lower_bound' => $this->lowerBound,
            'observed_days' => $this->observedDays,
            'best_run' => $this->bestRun,
            'safety_faults' => $this->safetyFaults,
            'fade' => $this->fade,
            'worst_soreness' => $this->worstSoreness,
            'morning_after' => $this->morningAfter,
            'last_rep_day' => $this->lastRepDay?->iso(),
            'awaits_confirmation' => $this->awaitsConfirmation,
        ];
    }

    /** @param  array<string, mixed>  $kept  as toArray() made it */
    public static function fromArray(array $kept): self
    {
        /** @var array{
         *     decision: string, criteria: array<string, string>, observed: int, good: int, rate: float|null,
         *     lower_bound: float|null, observed_days: int, best_run: int, safety_faults: int, fade: float|null,
         *     worst_soreness: int|null, morning_after: bool, last_rep_day: string|null, awaits_confirmation: bool,
         * } $kept
         */
        return new self(
            decision: GateDecision::from($kept['decision']),
            criteria: array_map(Verdict::from(...), $kept['criteria']),
            observed: $kept['observed'],
            good: $kept['good'],
            rate: $kept['rate'],
            lowerBound: $kept['lower_bound'],
            observedDays: $kept['observed_days'],
            bestRun: $kept['best_run'],
            safetyFaults: $kept['safety_faults'],
            fade: $kept['fade'],
            worstSoreness: $kept['worst_soreness'],
            morningAfter: $kept['morning_after'],
            lastRepDay: $kept['last_rep_day'] === null ? null : Day::of($kept['last_rep_day']),
            awaitsConfirmation: $kept['awaits_confirmation'],
        );
    }

    /**
     * The sessions a gate looks at: the rate is that of their repetitions.
     *
     * @param  list<JudgedRep>  $reps
     * @return list<string> as the repetitions name them, oldest first
     */
    public static function sessions(Gate $gate, Day $on, array $reps): array
    {
        return array_map(strval(...), array_keys(self::window(self::recent($gate, $on, $reps), $gate->windowSessions)));
    }

    /**
     * @param  list<JudgedRep>  $reps
     * @return list<JudgedRep> those that are not too old, in their order
     */
    private static function recent(Gate $gate, Day $on, array $reps): array
    {
        $oldest = $on->ordinal - $gate->maxAgeDays;
        $recent = array_values(array_filter($reps, fn (JudgedRep $rep): bool => $rep->at->day->ordinal > $oldest));
        usort($recent, fn (JudgedRep $a, JudgedRep $b): int => $a->at->microseconds <=> $b->at->microseconds);

        return $recent;
    }

    public static function of(Gate $gate, Day $on, GateEvidence $evidence): self
    {
        $reps = self::recent($gate, $on, $evidence->reps);
        $window = self::window($reps, $gate->windowSessions);
        $observedReps = array_merge(...array_values($window));

        $n = count($observedReps);
        $good = self::countGood($observedReps);
        $days = self::days($observedReps);
        $rate = $n === 0 ? null : $good / $n;
        $bound = $n === 0 ? null : Statistics::wilsonLowerBound($good, $n, $gate->confidence);
        $run = max([0, ...array_map(self::longestRun(...), array_values($window))]);
        $safety = count(array_filter(array_slice($reps, -$gate->safetyWindowReps), fn (JudgedRep $rep): bool => $rep->safety));
        $fade = $window === [] ? null : self::fade($window[array_key_last($window)]);
        $worst = self::worstSoreness($evidence->soreness, $on, $gate->sorenessDays);
        $lastDay = $reps === [] ? null : $reps[count($reps) - 1]->at->day;
        $morning = $lastDay !== null && self::hasMorningAfter($evidence->soreness, $lastDay);

        $enough = self::isEnough($gate, $n, $days);
        $meets = $rate !== null && $bound !== null && self::meets($gate, $rate, $bound);
        $awaits = $enough && $meets && $gate->confirmAfterFail && self::awaitsConfirmation($gate, $reps);
        $orShort = fn (bool $passes): Verdict => $passes ? Verdict::Pass : ($enough ? Verdict::Fail : Verdict::Short);
        $criteria = [
            Criterion::Evidence->value => $enough ? Verdict::Pass : Verdict::Short,
            Criterion::Mechanics->value => match (true) {
                $n === 0 => Verdict::Unknown,
                $awaits => Verdict::Short,
                default => $orShort($meets),
            },
            Criterion::Streak->value => $orShort($gate->streak === null || $run >= $gate->streak),
            Criterion::Safety->value => Verdict::of($safety <= $gate->maxSafetyFaults),
            Criterion::Fade->value => Verdict::of($fade === null || ! Tolerance::above($fade, $gate->maxFade)),
            Criterion::Soreness->value => match (true) {
                $worst !== null && $worst > $gate->sorenessMax => Verdict::Fail,
                $gate->needsMorningAfter && ! $morning => Verdict::Unknown,
                default => Verdict::Pass,
            },
            Criterion::Readiness->value => match ($evidence->word) {
                Word::Full => Verdict::Pass,
                Word::Unknown => Verdict::Unknown,
                default => Verdict::Fail,
            },
            Criterion::Load->value => Verdict::of($evidence->loadOk),
            Criterion::Prerequisites->value => Verdict::of($evidence->prerequisitesOk),
            Criterion::Clearance->value => Verdict::of($evidence->clearanceOk ?? true),
        ];
        $tooFewGood = $n >= $gate->minReps && $rate !== null && Tolerance::above($gate->stepBackRate, $rate);

        return new self(
            decision: self::decide($evidence->word, $criteria, $tooFewGood),
            criteria: $criteria,
            observed: $n,
            good: $good,
            rate: $rate,
            lowerBound: $bound,
            observedDays: $days,
            bestRun: $run,
            safetyFaults: $safety,
            fade: $fade,
            worstSoreness: $worst,
            morningAfter: $morning,
            lastRepDay: $lastDay,
            awaitsConfirmation: $awaits,
        );
    }

    private static function isEnough(Gate $gate, int $observed, int $days): bool
    {
        return $observed >= $gate->minReps && $days >= $gate->minSessions;
    }

    private static function meets(Gate $gate, float $rate, float $bound): bool
    {
        return Tolerance::atLeast($rate, $gate->targetRate) && Tolerance::atLeast($bound, $gate->lowerBound);
    }

    /**
     * A look is a date with enough observed repetitions on which, with all up to it, the evidence suffices. When some look failed, the last
     * two must have passed.
     *
     * @param  list<JudgedRep>  $reps  in order of time
     */
    private static function awaitsConfirmation(Gate $gate, array $reps): bool
    {
        $observedOn = [];
        foreach ($reps as $rep) {
            $observedOn[$rep->at->day->ordinal] = ($observedOn[$rep->at->day->ordinal] ?? 0) + ($rep->good === null ? 0 : 1);
        }
        ksort($observedOn);
        $looks = [];
        foreach ($observedOn as $day => $observed) {
            if ($observed < self::LOOK_LEAST_REPS) {
                continue;
            }
            $upTo = array_values(array_filter($reps, fn (JudgedRep $rep): bool => $rep->at->day->ordinal <= $day));
            $seen = array_merge(...array_values(self::window($upTo, $gate->windowSessions)));
            if (self::isEnough($gate, count($seen), self::days($seen))) {
                $good = self::countGood($seen);
                $looks[] = self::meets($gate, $good / count($seen), Statistics::wilsonLowerBound($good, count($seen), $gate->confidence));
            }
        }

        return in_array(false, $looks, true)
            && (count($looks) < self::LOOKS_TO_CONFIRM || in_array(false, array_slice($looks, -self::LOOKS_TO_CONFIRM), true));
    }

    /** @param  list<JudgedRep>  $reps */
    private static function days(array $reps): int
    {
        return count(array_unique(array_map(fn (JudgedRep $rep): int => $rep->at->day->ordinal, $reps)));
    }

    /** @param  array<string, Verdict>  $criteria */
    private static function decide(Word $word, array $criteria, bool $tooFewGood): GateDecision
    {
        $fails = fn (Criterion $criterion): bool => $criteria[$criterion->value] === Verdict::Fail;

        return match (true) {
            ! $word->allowsWork() => GateDecision::Pause,
            $fails(Criterion::Safety), $tooFewGood => GateDecision::StepBack,
            array_filter($criteria, fn (Verdict $verdict): bool => $verdict !== Verdict::Pass) === [] => GateDecision::Advance,
            $fails(Criterion::Mechanics), $fails(Criterion::Streak), $fails(Criterion::Fade) => GateDecision::Repeat,
            in_array(Verdict::Fail, $criteria, true) => GateDecision::Hold,
            default => GateDecision::Collect,
        };
    }

    /**
     * The observed reps of the last sessions that have any; sessions are in order of their latest rep.
     *
     * @param  list<JudgedRep>  $reps  in order of time
     * @return array<string, non-empty-list<JudgedRep>> by session
     */
    private static function window(array $reps, int $sessions): array
    {
        $latest = [];
        $observed = [];
        foreach ($reps as $position => $rep) {
            $latest[$rep->session] = $position;
            if ($rep->good !== null) {
                $observed[$rep->session][] = $rep;
            }
        }
        uksort($observed, fn (int|string $a, int|string $b): int => $latest[$a] <=> $latest[$b]);

        return array_slice($observed, -$sessions, null, true);
    }

    /** @param  list<JudgedRep>  $reps */
    private static function countGood(array $reps): int
    {
        return count(array_filter($reps, fn (JudgedRep $rep): bool => $rep->good === true));
    }

    /** @param  list<JudgedRep>  $reps */
    private static function longestRun(array $reps): int
    {
        $longest = $run = 0;
        foreach ($reps as $rep) {
            $run = $rep->good === true ? $run + 1 : 0;
            $longest = max($longest, $run);
        }

        return $longest;
    }

    /** @param  list<JudgedRep>  $reps observed, of one session */
    private static function fade(array $reps): ?float
    {
        if (count($reps) < self::FADE_LEAST_REPS) {
            return null;
        }
        $third = intdiv(count($reps), 3);

        return (self::countGood(array_slice($reps, 0, $third)) - self::countGood(array_slice($reps, -$third))) / $third;
    }

    /** @param  list<DaySoreness>  $soreness */
    private static function worstSoreness(array $soreness, Day $on, int $days): ?int
    {
        $recent = array_filter(
            $soreness,
            fn (DaySoreness $report): bool => $on->daysSince($report->day) < $days && ! $report->day->isAfter($on),
        );

        return $recent === [] ? null : max(array_map(fn (DaySoreness $report): int => $report->score, $recent));
    }

    /** @param  list<DaySoreness>  $soreness */
    private static function hasMorningAfter(array $soreness, Day $lastRep): bool
    {
        foreach ($soreness as $report) {
            if ($report->moment === Moment::Morning && $report->day->isAfter($lastRep)) {
                return true;
            }
        }

        return false;
    }
}
