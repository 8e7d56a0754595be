<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Load\Channel;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\HonestEffort;
use Augendo\Core\Mechanics\Statistics;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\SorenessReport;

/**
 * What the record of an athlete says about their plan: mornings that were sore after much work, quality that fell after so many
 * repetitions, efforts that were higher than asked. Where a bound is looked for, the one is told whose difference is surest; the interval
 * is as wide as it is because several were tried.
 */
final class Learnt
{
    /** Days that are looked at. */
    public const DAYS = 120;

    /** A morning with more than this is a sore one. */
    private const CALM_SCORE = 2;

    private const CONFIDENCE = 0.99;

    private const LEAST_MORNINGS = 20;

    private const LEAST_ON_A_SIDE = 5;

    private const LEAST_REPS_ON_A_SIDE = 20;

    /** Repetitions of a session are looked at in steps of so many. */
    private const REPS_STEP = 5;

    private const UNITS_STEP = 5.0;

    private const EFFORT_STEP = 0.05;

    /**
     * The days whose morning after was asked about.
     *
     * @param  DailySeries  $worked  of the part
     * @param  list<SorenessReport>  $reports  of any moment and place: a morning that names another place says that this one was calm
     * @param  string  $side  `left` or `right`, of the body
     * @return list<array{float, bool}> units of the day, and whether the morning after it was sore
     */
    public static function mornings(DailySeries $worked, array $reports, Channel $channel, string $side): array
    {
        $sore = [];
        foreach ($reports as $report) {
            if ($report->moment === Moment::Morning) {
                $day = $report->at->day->ordinal - 1;
                $sore[$day] = ($sore[$day] ?? false) || $report->score > self::CALM_SCORE && $report->concerns([$channel], $side);
            }
        }
        $days = array_filter(array_keys($sore), fn (int $day): bool => $worked->on($day) > 0.0);

        return array_values(array_map(fn (int $day): array => [$worked->on($day), $sore[$day]], $days));
    }

    /**
     * @param  list<array{float, bool}>  $mornings  units of a day, and whether the morning after it was sore; only mornings that were asked
     * @return Suggestion|null null when nothing is to be said
     */
    public static function soreMornings(array $mornings): ?Suggestion
    {
        $sore = count(array_filter($mornings, fn (array $morning): bool => $morning[1]));
        if ($sore === 0) {
            return null;
        }
        if (count($mornings) < self::LEAST_MORNINGS) {
            return new Suggestion(SuggestionKind::Units, null, count($mornings), $sore, 0, 0);
        }
        $units = array_values(array_unique(array_column($mornings, 0)));
        sort($units);
        $bounds = array_map(fn (float $low, float $high): float => ($low + $high) / 2, array_slice($units, 0, -1), array_slice($units, 1));
        $best = self::surest($bounds, self::LEAST_ON_A_SIDE, function (float $bound) use ($mornings): array {
            $above = array_filter($mornings, fn (array $morning): bool => $morning[0] > $bound);
            $below = array_filter($mornings, fn (array $morning): bool => $morning[0] <= $bound);

            return [
                count($above), count(array_filter(array_column($above, 1))), count($below), count(array_filter(array_column($below, 1))),
            ];
        });
        if ($best === null) {
            return null;
        }
        [$bound, $counts, $low, $high] = $best;
        $step = $bound >= 2 * self::UNITS_STEP ? self::UNITS_STEP : 1.0;
        $value = max(1.0, floor($bound / $step) * $step);

        return new Suggestion(
            SuggestionKind::Units, $value, ...$counts, bound: $bound, low: $low, high: $high, confidence: self::CONFIDENCE,
        );
    }

    /**
     * @param  list<list<bool>>  $sessions  judged repetitions of the rung in order, and whether each was good
     * @return Suggestion|null null when nothing is to be said
     */
    public static function fading(array $sessions): ?Suggestion
    {
        $longest = max([0, ...array_map(count(...), $sessions)]);
        $bounds = [];
        for ($bound = 2 * self::REPS_STEP; $bound < $longest; $bound += self::REPS_STEP) {
            $bounds[] = (float) $bound;
        }
        $best = self::surest($bounds, self::LEAST_REPS_ON_A_SIDE, function (float $bound) use ($sessions): array {
            $counts = [0, 0, 0, 0];
            foreach ($sessions as $reps) {
                foreach ($reps as $i => $good) {
                    $at = $i >= $bound ? 0 : 2;
                    $counts[$at]++;
                    $counts[$at + 1] += $good ? 0 : 1;
                }
            }

            return $counts;
        });
        if ($best === null) {
            return null;
        }
        [$bound, $counts, $low, $high] = $best;

        return new Suggestion(
            SuggestionKind::Reps, $bound, ...$counts, bound: $bound, low: $low, high: $high, confidence: self::CONFIDENCE,
        );
    }

    /**
     * @param  list<array{float, float}>  $sets  effort asked and effort implied, 0 to 1
     * @return Suggestion|null null when nothing is to be said
     */
    public static function harderThanAsked(array $sets): ?Suggestion
    {
        $honest = HonestEffort::of($sets);
        if ($honest === null || $honest->low <= 0.0) {
            return null;
        }
        $harder = count(array_filter($sets, fn (array $set): bool => $set[1] > $set[0]));
        $less = floor($honest->difference / self::EFFORT_STEP + 1e-9) * self::EFFORT_STEP;

        return $less <= 0.0 ? null : new Suggestion(
            SuggestionKind::Effort, min(0.5, $less), $honest->sets, $harder, 0, 0, low: $honest->low, high: $honest->high,
            confidence: HonestEffort::CONFIDENCE,
        );
    }

    /**
     * @param  list<float>  $bounds
     * @param  callable(float): array{int, int, int, int}  $counted  cases beyond the bound, bad ones of them, cases within it, bad ones
     * @return array{float, array{int, int, int, int}, float, float}|null the bound, its counts and the interval of the difference;
     *         null when none tells the two apart
     */
    private static function surest(array $bounds, int $least, callable $counted): ?array
    {
        $best = null;
        foreach ($bounds as $bound) {
            [$above, $aboveBad, $below, $belowBad] = $counts = $counted($bound);
            if ($above < $least || $below < $least) {
                continue;
            }
            [, $low, $high] = Statistics::newcombe($aboveBad, $above, $belowBad, $below, self::CONFIDENCE);
            if ($low > 0.0 && ($best === null || $low > $best[2])) {
                $best = [$bound, $counts, $low, $high];
            }
        }

        return $best;
    }
}
