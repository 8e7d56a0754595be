<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\Measure;

/** What makes an athlete's limits tighter than the rule set: growing fast, coming back, having come back. */
final class Adjustment
{
    /** Growth above this many centimetres a month makes limits tighter. */
    public const FAST_GROWTH_CM_A_MONTH = 0.6;

    /** Heights further apart than this say nothing of how fast somebody grows now. */
    private const GROWTH_WITHIN_DAYS = 200;

    private const DAYS_A_MONTH = 30.4375;

    private const GROWING_SHARE = 0.8;

    private const GROWING_LANDINGS_SHARE = 0.7;

    /** Arm units a week that a weekly step starts from while returning, or after a long layoff. */
    private const RETURNING_FLOOR = 60.0;

    public const LONG_LAYOFF_DAYS = 15;

    private const AFTER_RETURN_SHARES = [0.7, 0.8, 0.9];

    private const AFTER_RETURN_GROWTH = 1.2;

    /** The weeks after a return end when the mean week of the month reaches this share of the usual one. */
    private const USUAL_SHARE = 0.8;

    /**
     * How fast somebody grows: the last two heights, when they are near enough to say something of now.
     *
     * @param  list<array{Day, float}>  $heightsCm  by day, oldest first
     * @return float|null centimetres a month
     */
    public static function growthCmAMonth(array $heightsCm): ?float
    {
        if (count($heightsCm) < 2) {
            return null;
        }
        [[$before, $from], [$last, $to]] = array_slice($heightsCm, -2);
        $days = $last->daysSince($before);

        return $days < 1 || $days > self::GROWTH_WITHIN_DAYS ? null : ($to - $from) / $days * self::DAYS_A_MONTH;
    }

    /** @param  float|null  $cmAMonth  null when not measured twice */
    public static function isGrowingFast(?float $cmAMonth): bool
    {
        return $cmAMonth !== null && $cmAMonth > self::FAST_GROWTH_CM_A_MONTH + 1e-9;
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
     * @return list<Limit> with the floor of each weekly arm step held down
     */
    public static function returning(array $limits): array
    {
        return array_map(fn (Limit $limit): Limit => $limit instanceof StepLimit && $limit->measure === Measure::Arm
            ? $limit->withFloor(min($limit->floor, self::RETURNING_FLOOR))
            : $limit, $limits);
    }

    /**
     * The weekly maximum after a return: the least of 70, 80, 90 % of the weekly cap in weeks one to three and 1.2 × the week completed
     * before, hard at every age.
     *
     * @param  list<Limit>  $limits  of the athlete, to find the weekly cap in
     * @param  DailySeries  $series  of the returning channel: arm or landing units
     * @param  Day  $doneOn  the day the return was finished
     * @param  float  $usualWeek  units of a usual week before the injury
     * @return CapLimit|null null when the weeks after are over
     */
    public static function afterReturn(array $limits, Channel $channel, DailySeries $series, Day $doneOn, float $usualWeek, Day $on): ?CapLimit
    {
        $measure = $channel === Channel::Landing ? Measure::Landings : Measure::Arm;
        $days = $on->daysSince($doneOn);
        if ($days < 0 || $series->sum($on->ordinal - 27, $on->ordinal) / 4 >= self::USUAL_SHARE * $usualWeek - 1e-9) {
            return null;
        }
        $cap = null;
        $filter = new LimitFilter;
        foreach ($limits as $limit) {
            if ($limit instanceof CapLimit && $limit->windowDays === 7 && $limit->measure === $measure && ($cap === null || $limit->max < $cap)) {
                [$cap, $filter] = [$limit->max, $limit->filter];
            }
        }
        $week = intdiv($days, 7);
        $start = $doneOn->ordinal + 7 * $week;
        $growth = max(self::RETURNING_FLOOR, self::AFTER_RETURN_GROWTH * $series->sum($start - 7, $start - 1));
        $share = self::AFTER_RETURN_SHARES[$week] ?? null;

        return new CapLimit(
            "after-return-{$channel->value}", 'Week '.($week + 1).' after the return', 'Return programme', Severity::Hard, null, $filter, $measure, 7,
            $cap === null || $share === null ? $growth : min($growth, $share * $cap),
        );
    }
}
