<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\Side;

/** What makes an athlete's limits tighter than the rule set: growing fast, coming back, having come back. */
final class Adjustment
{
    /** Growth above this many centimetres a month makes limits tighter. */
    public const FAST_GROWTH_CM_A_MONTH = 0.6;

    /** Heights further apart, or longer ago, than this say nothing of how fast somebody grows now. */
    public const GROWTH_WITHIN_DAYS = 200;

    /** Heights nearer to each other than this say nothing of it either. */
    private const GROWTH_FROM_DAYS = 28;

    private const GROWN_UP_YEARS = 18;

    private const DAYS_A_MONTH = 30.4375;

    private const GROWING_SHARE = 0.8;

    private const GROWING_LANDINGS_SHARE = 0.7;

    /** Arm units a week that a weekly step starts from while returning, or after a long layoff. */
    private const RETURNING_FLOOR = 60.0;

    public const LONG_LAYOFF_DAYS = 15;

    private const AFTER_RETURN_SHARES = [0.7, 0.8, 0.9];

    private const AFTER_RETURN_GROWTH = 1.2;

    private const WEEKS_LOOKED_BACK = 8;

    /** Arm units of a day that end an idle time where no rung says: a quarter of a small own dose. */
    public const ENDS_IDLE_UNITS = 5.0;

    /** The weeks after a return end when the mean week of the month reaches this share of the usual one. */
    private const USUAL_SHARE = 0.8;

    /**
     * How fast somebody grows now: the latest heights against the nearest ones at least four weeks before them. Two
     * measurements of one time
     * say nothing of growth; of several that could be meant the fastest growth counts.
     *
     * @param  list<array{Day, float, bool}>  $heightsCm  the last of each: whether it is doubted, because it lies far off the others
     * @return float|null centimetres a month; null when nothing near enough is known
     */
    public static function growthCmAMonth(array $heightsCm, Day $on): ?float
    {
        $known = array_values(
            array_filter(
                $heightsCm,
                fn (array $each): bool => ! $each[0]->isAfter($on) && $on->daysSince($each[0]) <= self::GROWTH_WITHIN_DAYS,
            ),
        );
        $sure = array_values(array_filter($known, fn (array $each): bool => ! $each[2]));
        $growths = array_filter(
            [self::fastest($known), count($sure) === count($known) ? null : self::fastest($sure)],
            fn (?float $each): bool => $each !== null,
        );

        // While a height is doubted, what is known without it must be known too.
        return $growths === [] || (count($sure) < count($known) && count($growths) < 2) ? null : max($growths);
    }

    /** @param  list<array{Day, float, bool}>  $heightsCm */
    private static function fastest(array $heightsCm): ?float
    {
        $latest = max([0, ...array_map(fn (array $each): int => $each[0]->ordinal, $heightsCm)]);
        $fastest = null;
        foreach ($heightsCm as [$day, $to]) {
            $before = array_filter(
                $heightsCm,
                fn (array $each): bool => $day->daysSince($each[0]) >= self::GROWTH_FROM_DAYS
                    && $day->daysSince($each[0]) <= self::GROWTH_WITHIN_DAYS,
            );
            if ($latest - $day->ordinal >= self::GROWTH_FROM_DAYS || $before === []) {
                continue;
            }
            $nearest = max(array_map(fn (array $each): int => $each[0]->ordinal, $before));
            foreach ($before as [$from, $height]) {
                if ($from->ordinal === $nearest) {
                    $fastest = max($fastest ?? -INF, ($to - $height) / $day->daysSince($from) * self::DAYS_A_MONTH);
                }
            }
        }

        return $fastest;
    }

    /**
     * Whether the limits of somebody who grows fast hold. Who is not grown up and was not measured lately may be growing: unknown is the
     * strictest known case.
     *
     * @param  float|null  $cmAMonth  null when not known
     * @param  int|null  $age  whole years, null when not known
     */
    public static function isGrowingFast(?float $cmAMonth, ?int $age): bool
    {
        return $cmAMonth === null ? $age === null || $age < self::GROWN_UP_YEARS : $cmAMonth > self::FAST_GROWTH_CM_A_MONTH + 1e-9;
    }

    /**
     * @param  list<Limit>  $limits
     * @return list<Limit>
     */
    public static function growing(array $limits): array
    {
        return array_map(fn (Limit $limit): Limit => $limit->scaled(
            $limit->measure === Measure::Landings ? self::GROWING_LANDINGS_SHARE : self::GROWING_SHARE,
        ), $limits);
    }

    /**
     * @param  list<Limit>  $limits
     * @param  callable(Side|null): bool  $holds  whether the arm of a side, or either, is held down
     * @return list<Limit> with the floor of its weekly step held down
     */
    public static function returning(array $limits, callable $holds): array
    {
        return array_map(fn (Limit $limit): Limit => $limit instanceof StepLimit && $limit->measure === Measure::Arm && $holds(
            $limit->side(),
        )
            ? $limit->withFloor(min($limit->floor, self::RETURNING_FLOOR))
            : $limit, $limits);
    }

    /**
     * The weekly maximum after a return, on the side that was hurt: the least of 70, 80, 90 % of the weekly cap in
     * weeks one to three and 1.2 ×
     * the week completed before, hard at every age. A week without any such work is no week completed: the one before it counts.
     *
     * @param  list<Limit>  $limits  of the athlete at that age
     * @param  LoadRecord  $record  up to the day
     * @return CapLimit|null null when the weeks after are over
     */
    public static function afterReturn(array $limits, DoneReturn $done, LoadRecord $record, Day $on): ?CapLimit
    {
        $measure = $done->channel === Channel::Landing ? Measure::Landings : Measure::Arm;
        $side = $done->channel->hasSides() ? $done->side : null;
        $ofSide = array_values(
            array_filter(
                $limits,
                fn (Limit $limit): bool => $limit->measure === $measure
                    && ($side === null || in_array($limit->side(), [null, $side], true)),
            ),
        );
        $caps = array_values(array_filter($ofSide, fn (Limit $limit): bool => $limit instanceof CapLimit && $limit->windowDays === 7));
        usort($caps, fn (CapLimit $a, CapLimit $b): int => $a->max <=> $b->max);
        $cap = $caps[0] ?? null;
        $filter = $cap->filter ?? new LimitFilter(sides: $side === null ? null : [$side]);
        $series = $record->series($measure, $filter->key(), $filter->fits(...));

        // A usual week that nobody knows: the starter's step floor stands for it.
        $floors = array_map(fn (Limit $limit): float => $limit instanceof StepLimit ? $limit->floor : INF, $ofSide);
        $usualWeek = $done->usualWeek > 0.0 ? $done->usualWeek : min([INF, ...$floors]);
        $days = $on->daysSince($done->doneOn);
        if ($days < 0 || $series->sum($on->ordinal - 27, $on->ordinal) / 4 >= self::USUAL_SHARE * $usualWeek - 1e-9) {
            return null;
        }
        $week = intdiv($days, 7);
        $start = $done->doneOn->ordinal + 7 * $week;
        $bounds = array_filter([
            self::grown($series, $start),
            $cap === null || ! isset(self::AFTER_RETURN_SHARES[$week]) ? null : self::AFTER_RETURN_SHARES[$week] * $cap->max,
        ], fn (?float $bound): bool => $bound !== null);

        return $bounds === [] ? null : new CapLimit(
            new LimitTerms(
                id: "after-return-{$done->channel->value}",
                label: 'Week '.($week + 1).' after the return',
                source: 'Return programme',
                severity: Severity::Hard,
                filter: $filter,
            ),
            measure: $measure,
            windowDays: 7,
            max: min($bounds),
        );
    }

    /** @return float|null 1.2 × the last week that had any work; null when there is none in the two months before */
    private static function grown(DailySeries $series, int $start): ?float
    {
        for ($weeks = 1; $weeks <= self::WEEKS_LOOKED_BACK; $weeks++) {
            $week = $series->sum($start - 7 * $weeks, $start - 7 * $weeks + 6);
            if ($week > 0.0) {
                return self::AFTER_RETURN_GROWTH * $week;
            }
        }

        return null;
    }
}
