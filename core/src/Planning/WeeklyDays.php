<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;

/** Days that come every week: “Tuesday and Thursday until the end of May, not in the Easter holidays”. */
final class WeeklyDays
{
    /** A year and its holidays: what comes after it is planned again. */
    public const MOST_WEEKS = 53;

    /**
     * @param  Day  $until  the last day it may be
     * @param  list<int>  $weekdays  1 Monday to 7 Sunday
     * @param  list<array{Day, Day}>  $without  spans of days that are left out, first and last with them
     * @return list<Day> in order
     *
     * @throws InvalidValue
     */
    public static function between(Day $from, Day $until, array $weekdays, array $without = []): array
    {
        if ($from->isAfter($until)) {
            throw new InvalidValue('The last day lies before the first; choose a later one.');
        }
        if ($until->daysSince($from) > 7 * self::MOST_WEEKS) {
            throw new InvalidValue('At most '.self::MOST_WEEKS.' weeks are planned at once; choose an earlier last day.');
        }
        foreach ($without as [$first, $last]) {
            if ($first->isAfter($last)) {
                throw new InvalidValue("The days left out from {$first->iso()} end before they begin.");
            }
        }
        $days = [];
        for ($day = $from; ! $day->isAfter($until); $day = $day->plus(1)) {
            if (in_array(SeasonAsk::weekday($day->ordinal), $weekdays, true) && ! self::isWithin($day, $without)) {
                $days[] = $day;
            }
        }

        return $days;
    }

    /** @param  list<array{Day, Day}>  $spans */
    private static function isWithin(Day $day, array $spans): bool
    {
        foreach ($spans as [$first, $last]) {
            if (! $first->isAfter($day) && ! $day->isAfter($last)) {
                return true;
            }
        }

        return false;
    }

    /** The Monday of the week a day is in. */
    public static function monday(Day $day): Day
    {
        return $day->plus(1 - SeasonAsk::weekday($day->ordinal));
    }
}
