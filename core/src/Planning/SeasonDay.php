<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Load\CostedSet;

/** A day of a season with something on it: a session, or a match. */
final readonly class SeasonDay
{
    /**
     * @param  int  $week  calendar weeks since that of the season's first day, from 0
     * @param  Emphasis|null  $emphasis  null for a match
     * @param  Rung|null  $rung  of the session; a stage of a return put as a rung, too
     * @param  int|null  $stage  of the return, from 0
     * @param  bool  $clearance  whether the stage waits for a clearance that is not there yet
     * @param  Pace|null  $pace  at which the rung is worked; null for a stage, a match, or a day that only has what is free
     * @param  Pace|null  $held  what the day holds of the rung that is stood on: moving on is the coach's act, and until then a day that is
     *         planned for a rung above holds what was reached, as heavy as the day is; null where nothing was
     * @param  list<CostedSet>  $sets  what the day costs
     * @param  LimitState|null  $fullest  the hard limit that stands fullest with the day in the plan
     * @param  bool  $begins  whether the rung is begun that day
     * @param  MatchEvent|null  $protects  the match the day is kept light for, or rests after
     * @param  Day|null  $lastHeavy  the heavy day or match before it; null: none lately
     * @param  int|null  $matchReps  of a match: repetitions that fit, of those expected
     */
    public function __construct(
        public Day $day,
        public int $week,
        public ?Emphasis $emphasis = null,
        public ?Rung $rung = null,
        public ?int $stage = null,
        public bool $clearance = false,
        public ?Pace $pace = null,
        public ?BuiltSession $built = null,
        public array $sets = [],
        public ?LimitState $fullest = null,
        public ?MatchEvent $match = null,
        public ?int $matchReps = null,
        public bool $begins = false,
        public ?MatchEvent $protects = null,
        public ?Day $lastHeavy = null,
        public ?Pace $held = null,
    ) {}

    /** Repetitions that count as load; where what the session is for is done with nothing in the hand, those at the least. */
    public function reps(): int
    {
        return max((int) round($this->cost('reps')), $this->ownReps());
    }

    /** Judged repetitions: what the session is for. */
    public function ownReps(): int
    {
        $own = array_filter($this->built->blocks ?? [], fn (BlockPlan $block): bool => $block->asked->judged);

        return array_sum(array_map(fn (BlockPlan $block): int => $block->reps, $own));
    }

    /** Units of the measure, planned for the day. */
    public function cost(string $measure): float
    {
        return array_sum(array_map(fn (CostedSet $set): float => $set->cost[$measure], $this->sets));
    }
}
