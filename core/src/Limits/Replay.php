<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;

/**
 * What a rule set would have said to the days that were: each day's work is held, as if it had been planned, against the record before it.
 * Limits on single sets and single sessions are not replayed, since old days are kept as totals.
 */
final class Replay
{
    /**
     * @param  LoadRecord  $record  the whole of it
     * @return list<array{Day, list<LimitState>}> the days of the span on which a hard limit would have been over, and which
     */
    public static function over(LimitCalendar $limits, LoadRecord $record, Day $from, Day $to): array
    {
        $over = [];
        $before = $record->before($from);
        for ($ordinal = $from->ordinal; $ordinal <= $to->ordinal; $ordinal++) {
            $done = $record->setsOn($ordinal);
            if ($done === []) {
                continue;
            }
            $on = Day::fromOrdinal($ordinal);
            $states = array_values(array_filter(
                $limits->board($on, $before)->hardTouchedBy($done)->over($done),
                fn (LimitState $state): bool => ! $state->limit instanceof LevelLimit
                    && ! ($state->limit instanceof CapLimit && $state->limit->windowDays === null),
            ));
            if ($states !== []) {
                $over[] = [$on, $states];
            }
            $before = $before->with($done);
        }

        return $over;
    }

    /**
     * What a rule set would say to the days that are planned: each held against the record with what is planned before it.
     *
     * @param  LoadRecord  $record  up to the first of them
     * @param  list<CostedSet>  $plans  matches and training elsewhere with them
     * @return list<array{Day, list<LimitState>}> the planned days on which a hard limit would be over, in order, and which
     */
    public static function ahead(LimitCalendar $limits, LoadRecord $record, array $plans): array
    {
        $byDay = [];
        foreach ($plans as $set) {
            $byDay[$set->day][] = $set;
        }
        ksort($byDay);
        $over = [];
        foreach ($byDay as $ordinal => $planned) {
            $on = Day::fromOrdinal($ordinal);
            $states = $limits->board($on, $record)->hardTouchedBy($planned)->over($planned);
            if ($states !== []) {
                $over[] = [$on, $states];
            }
            $record = $record->with($planned);
        }

        return $over;
    }
}
