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
