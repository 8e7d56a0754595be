<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;

/** The first day on which a wanted dose fits every hard limit it touches, beside what is planned until then. */
final class FirstFit
{
    public const DAYS_AHEAD = 35;

    /**
     * @param  callable(Day): CostedSet  $dose  the whole dose as one set on a day
     * @param  callable(Day): CostedSet  $oneRep  one repetition of it
     * @param  list<CostedSet>  $plans  what is planned from the first day on
     * @return Day|null null when it fits on no day of the next five weeks
     */
    public static function day(Day $from, callable $dose, callable $oneRep, LoadRecord $record, array $plans, LimitCalendar $limits): ?Day
    {
        for ($ahead = 0; $ahead < self::DAYS_AHEAD; $ahead++) {
            $on = $from->plus($ahead);
            $before = $record->with(array_values(array_filter($plans, fn (CostedSet $set): bool => $set->day < $on->ordinal)));
            $sameDay = array_values(array_filter($plans, fn (CostedSet $set): bool => $set->day === $on->ordinal));
            if ($limits->board($on, $before)->hardTouchedBy([$oneRep($on)])->over([...$sameDay, $dose($on)]) === []) {
                return $on;
            }
        }

        return null;
    }
}
