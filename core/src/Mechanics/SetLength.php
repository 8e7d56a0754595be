<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

/**
 * The repetition of a session after which quality goes: one change point of the good rate over the index of the repetition, pooled over
 * sessions, with what the squad shows as a weak beginning.
 */
final readonly class SetLength
{
    /** Sets of so many days are looked at. */
    public const DAYS = 60;

    /** The squad speaks for at most so many repetitions of an athlete's own. */
    private const SQUAD_WORTH = 40.0;

    /** No change is looked for in this share at either end. */
    private const TRIM = 0.15;

    private const LEAST_REPS = 40;

    /**
     * A drop is told when twice the gain in log-likelihood passes this: the 5 % point of the largest such statistic over all change points
     * with 15 % trimmed at either end. D. W. K. Andrews, Econometrica 61 (1993), 821–856, table I with its correction,
     * 71 (2003), 395–397.
     */
    private const CRITICAL = 8.68;

    /**
     * @param  int  $after  the last repetition before the drop, counted from 1
     * @param  float  $before  good rate up to it, the squad's share in it
     * @param  float  $later  good rate after it
     */
    private function __construct(public int $after, public float $before, public float $later) {}

    /**
     * @param  list<list<JudgedRep>>  $sessions  judged repetitions in the order they were done
     * @param  list<list<JudgedRep>>  $squad  the same of everybody else who does this
     * @return self|null null while there is too little to tell, or no drop
     */
    public static function of(array $sessions, array $squad = []): ?self
    {
        [$good, $seen] = self::byIndex($sessions);
        if (array_sum($seen) < self::LEAST_REPS) {
            return null;
        }
        [$squadGood, $squadSeen] = self::byIndex($squad);
        $weight = min(1.0, self::SQUAD_WORTH / max(1.0, array_sum($squadSeen)));
        $length = count($seen);
        for ($i = 0; $i < $length; $i++) {
            $good[$i] += $weight * ($squadGood[$i] ?? 0.0);
            $seen[$i] += $weight * ($squadSeen[$i] ?? 0.0);
        }
        [$allGood, $all] = [array_sum($good), array_sum($seen)];
        $flat = self::logLikelihood($allGood, $all);
        $best = null;
        $most = self::CRITICAL;
        $firstGood = $first = 0.0;
        for ($k = 0; $k < $length - 1; $k++) {
            $firstGood += $good[$k];
            $first += $seen[$k];
            if ($first < self::TRIM * $all || $all - $first < self::TRIM * $all) {
                continue;
            }
            [$before, $later] = [$firstGood / $first, ($allGood - $firstGood) / ($all - $first)];
            $gain = 2 * (self::logLikelihood($firstGood, $first) + self::logLikelihood($allGood - $firstGood, $all - $first) - $flat);
            if ($before > $later && $gain > $most) {
                [$best, $most] = [new self($k + 1, $before, $later), $gain];
            }
        }

        return $best;
    }

    /**
     * @param  list<list<JudgedRep>>  $sessions
     * @return array{list<float>, list<float>} good and observed, by index of the repetition
     */
    private static function byIndex(array $sessions): array
    {
        $good = $seen = [];
        foreach ($sessions as $reps) {
            foreach ($reps as $i => $rep) {
                $good[$i] = ($good[$i] ?? 0.0) + ($rep->good === true ? 1.0 : 0.0);
                $seen[$i] = ($seen[$i] ?? 0.0) + ($rep->good === null ? 0.0 : 1.0);
            }
        }

        return [array_values($good), array_values($seen)];
    }

    private static function logLikelihood(float $good, float $n): float
    {
        $term = fn (float $x): float => $x > 0.0 ? $x * log($x / $n) : 0.0;

        return $term($good) + $term($n - $good);
    }
}
