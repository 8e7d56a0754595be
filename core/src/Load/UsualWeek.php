<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** A usual week of an athlete: declared at intake, or read from the record. */
final class UsualWeek
{
    public const DECLARED_DAYS = 28;

    /** A declared week enters as four weeks of history at this share of it. */
    private const DECLARED_SHARE = 0.8;

    private const READ_WITHIN_DAYS = 70;

    private const MONTH_DAYS = 28;

    /** @return float|null units: the usual week as the record alone tells it; null while the record is shorter than a month */
    public static function ofRecord(DailySeries $series, int $day): ?float
    {
        return $series->firstDay === null || $day - $series->firstDay < self::MONTH_DAYS ? null : self::read($series, $day);
    }

    /**
     * What counts of a declared week that lies far off what else is known of the same measure, until somebody says that it is right: the
     * smaller. Zero says nothing of a usual week: nobody declared that measure, or nothing of it is on the record.
     *
     * @param  float  $declared  units
     * @param  list<float>  $others  units: what was declared before, what the record says
     * @return float|null units; null when it is near the others, or there are none
     */
    public static function untilSure(float $declared, array $others): ?float
    {
        $known = array_values(array_filter($others, fn (float $week): bool => $week > 0.0));

        return $declared > 0.0 && Marks::isFarOff($declared, $known) ? min([$declared, ...$known]) : null;
    }

    /** @return float units of each declared day */
    public static function declaredDay(float $unitsAWeek): float
    {
        return self::DECLARED_SHARE * $unitsAWeek / 7;
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
