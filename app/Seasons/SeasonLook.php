<?php

declare(strict_types=1);

namespace App\Seasons;

use Augendo\Core\Load\CostedSet;
use Augendo\Core\Planning\SeasonPlan;

/** A season as it comes of the record, and what lies beside it. */
final readonly class SeasonLook
{
    /**
     * @param  list<CostedSet>  $beside  on the calendar, of none of the athlete's open seasons
     * @param  array<string, SeasonPlan>  $others  the athlete's other seasons, by the name of the ladder
     */
    public function __construct(public SeasonPlan $plan, public array $beside, public array $others) {}

    /** @return array<int, list<CostedSet>> what the athlete does beside the season, by ordinal of the day; matches are the season's own */
    public function besideByDay(): array
    {
        $byDay = [];
        foreach ($this->beside as $set) {
            $byDay[$set->day][] = $set;
        }
        foreach ($this->others as $plan) {
            foreach ($plan->days as $day) {
                foreach ($day->match === null ? $day->sets : [] as $set) {
                    $byDay[$set->day][] = $set;
                }
            }
        }

        return $byDay;
    }

    /** @return array<int, string> names of the other ladders that have a session, by ordinal of the day */
    public function othersByDay(): array
    {
        $names = [];
        foreach ($this->others as $name => $plan) {
            foreach ($plan->days as $day) {
                if ($day->match === null) {
                    $names[$day->day->ordinal][] = $name;
                }
            }
        }

        return array_map(fn (array $of): string => implode(', ', $of), $names);
    }
}
