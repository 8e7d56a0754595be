<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;

/**
 * What nobody has said of a match or of training elsewhere. It stands as expected, and counts as load, until somebody says what it took;
 * for so long it is asked for. After that the record takes it as it was expected, marked as an estimate: silence counts as usual.
 */
final class Silence
{
    public const ASKED_DAYS = 14;

    public static function countsAsExpected(Day $held, Day $today): bool
    {
        return $today->daysSince($held) > self::ASKED_DAYS;
    }

    /** @return Day the first day of which a match may still be declared: it is asked for from then on */
    public static function firstDeclared(Day $today): Day
    {
        return $today->plus(-self::ASKED_DAYS);
    }

    /** @return Day the Monday of the week that is asked for: the last one that is over */
    public static function weekAsked(Day $today): Day
    {
        return WeeklyDays::monday($today)->plus(-7);
    }
}
