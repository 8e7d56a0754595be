<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Load\DailySeries;

/** What a lighter week may cost: a share of the work really done in the week before it. */
final class LightWeek
{
    /** Between the 70 and 80 % that are asked for. */
    public const SHARE = 0.75;

    private const DAYS = 7;

    private const WEEKS_BEFORE = 4;

    /**
     * @param  DailySeries  $worked  the part the season loads most
     * @param  int  $monday  ordinal of the lighter week's first day
     * @return float|null units; null when the four weeks before it held nothing
     */
    public static function units(DailySeries $worked, int $monday): ?float
    {
        $week = $worked->sum($monday - self::DAYS, $monday - 1);
        $mean = $worked->sum($monday - self::WEEKS_BEFORE * self::DAYS, $monday - 1) / self::WEEKS_BEFORE;
        $before = $week > 0.0 ? $week : $mean;

        return $before > 0.0 ? self::SHARE * $before : null;
    }
}
