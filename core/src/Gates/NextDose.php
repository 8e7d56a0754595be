<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

use Augendo\Core\Day;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Planning\BlockPlan;

/** Nobody advances into a dose that the limits would not let them do. */
final class NextDose
{
    /** With nothing planned the dose is held against the day after tomorrow. */
    private const NOTHING_PLANNED_DAYS = 2;

    /**
     * Whether the own dose of the rung above fits every hard limit on the next planned day, in place of what is planned there.
     *
     * @param  Rung|null  $next  null on the last rung: nothing is left to fit
     * @param  LoadRecord  $record  up to the day
     * @param  list<CostedSet>  $plans  from the day on
     */
    public static function fits(?Rung $next, Day $on, LoadRecord $record, array $plans, LimitCalendar $limits, SetCost $price): bool
    {
        if ($next === null) {
            return true;
        }
        $today = $later = [];
        foreach ($plans as $set) {
            if ($set->day === $on->ordinal) {
                $today[] = $set;
            } elseif ($set->day > $on->ordinal) {
                $later[] = $set->day;
            }
        }
        $day = $later === [] ? $on->plus(self::NOTHING_PLANNED_DAYS) : Day::fromOrdinal(min($later));
        $dose = BlockPlan::asAsked($next->ownDose());

        return $limits
            ->hardBoard($day, $record->with($today), $dose->oneRep($day, 'next', $price))
            ->over([$dose->cost($day, 'next', $price)]) === [];
    }
}
