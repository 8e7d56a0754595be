<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

use Augendo\Core\Day;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\Limit;

/** A usual week of an athlete: declared at intake, or read from the record. */
final class UsualWeek
{
    public const DECLARED_DAYS = 28;

    /** A declared week enters as four weeks of history at this share of it. */
    private const DECLARED_SHARE = 0.8;

    /** It counts no more than this share of the starter's cap of seven days. */
    private const MOST_OF_THE_CAP = 0.5;

    /** With so many days of record it counts no more than these days show. */
    private const RECORD_SPEAKS_DAYS = 14;

    private const CAP_DAYS = 7;

    private const READ_WITHIN_DAYS = 70;

    private const MONTH_DAYS = 28;

    /**
     * What counts of a declared week that lies far off what else is known of the same measure, until somebody says that it is right: the
     * smaller. Zero says nothing of a usual week: nobody declared that measure.
     *
     * @param  float  $declared  units
     * @param  list<float>  $others  units: what was declared before
     * @return float|null units; null when it is near the others, or there are none
     */
    public static function untilSure(float $declared, array $others): ?float
    {
        $known = array_values(array_filter($others, fn (float $week): bool => $week > 0.0));

        return $declared > 0.0 && Marks::isFarOff($declared, $known) ? min([$declared, ...$known]) : null;
    }

    /**
     * @param  float|null  $most  units a week it may count; null: the starter has no cap of it
     * @param  float|null  $shown  units a week the record shows by now; null while it is too short to show any
     * @return float units of each declared day
     */
    public static function declaredDay(float $unitsAWeek, ?float $most = null, ?float $shown = null): float
    {
        return min([self::DECLARED_SHARE * $unitsAWeek, ...array_filter([$most, $shown], is_float(...))]) / 7;
    }

    /**
     * What somebody does in a usual week, in units.
     *
     * @param  list<WorkSet>  $work
     * @return array{arm: float, landings: float}
     */
    public static function ofWork(array $work, SetCost $price): array
    {
        $week = ['arm' => 0.0, 'landings' => 0.0];
        foreach ($work as $set) {
            $cost = $price->of($set)->cost;
            $week = ['arm' => $week['arm'] + $cost['arm'], 'landings' => $week['landings'] + $cost['landings']];
        }

        return $week;
    }

    /**
     * @param  list<Limit>  $starter  limits of the starter set
     * @return float|null units a week that a declared one counts at most; null where the set has no cap of it at that age
     */
    public static function mostDeclared(array $starter, ?int $age, Measure $measure): ?float
    {
        $caps = array_filter($starter, fn (Limit $limit): bool => $limit instanceof CapLimit
            && $limit->windowDays === self::CAP_DAYS && $limit->measure === $measure && $limit->appliesAt($age));

        return $caps === [] ? null : self::MOST_OF_THE_CAP * min(array_map(fn (CapLimit $cap): float => $cap->max, $caps));
    }

    /**
     * It says nothing of the days since it was said: a pause before the record begins stays a pause.
     *
     * @param  Day|null  $firstOfRecord  null: nothing is on record yet
     * @param  Day  $said  the last day before it was said
     * @return Day the last of the declared days
     */
    public static function lastDay(?Day $firstOfRecord, Day $said): Day
    {
        return $firstOfRecord === null || $firstOfRecord->isAfter($said) ? $said : $firstOfRecord->plus(-1);
    }

    /** @return float|null units a week in the first days of the record; null while there are fewer days than speak */
    public static function shown(DailySeries $series, int $day): ?float
    {
        $first = $series->firstDay;

        return $first === null || $day - $first < self::RECORD_SPEAKS_DAYS
            ? null
            : $series->sum($first, $first + self::RECORD_SPEAKS_DAYS - 1) * 7 / self::RECORD_SPEAKS_DAYS;
    }

    /** @return float units: the mean week of the best month within ten weeks up to the day */
    public static function read(DailySeries $series, int $day): float
    {
        return max(array_map(
            fn (int $back): float => $series->sum($day - $back - self::MONTH_DAYS + 1, $day - $back) / 4,
            range(0, self::READ_WITHIN_DAYS - self::MONTH_DAYS),
        ));
    }
}
