<?php

declare(strict_types=1);

namespace App\Records;

use Augendo\Core\Day;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitBoard;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Planning\SessionFrame;
use Augendo\Core\Readiness\Readiness;

/** One athlete's record and plans, ready for the core. */
final readonly class AthleteLoad
{
    /**
     * @param  list<CostedSet>  $record
     * @param  array<int, float>  $internalByDay
     * @param  list<CostedSet>  $plans
     */
    public function __construct(
        public AthleteProfile $profile,
        public SetCost $price,
        public array $record,
        public array $internalByDay,
        public ?int $firstDay,
        public array $plans,
        public ?int $age,
    ) {}

    public function loadRecord(): LoadRecord
    {
        return new LoadRecord($this->record, $this->internalByDay, $this->firstDay);
    }

    /** @param  list<Limit>  $limits */
    public function board(array $limits, Day $on): LimitBoard
    {
        return LimitBoard::of($limits, $this->loadRecord(), $on, $this->age);
    }

    /** @return list<CostedSet> */
    public function plansOn(Day $day): array
    {
        return array_values(array_filter($this->plans, fn (CostedSet $set): bool => $set->day === $day->ordinal));
    }

    /**
     * @param  list<Limit>  $limits
     * @param  list<Channel>  $channels the channels the session works
     */
    public function frame(Day $on, string $session, Readiness $readiness, array $limits, array $channels, Handedness $throwing): SessionFrame
    {
        return new SessionFrame(
            $on, $session, $this->price, $readiness, $this->record, $this->internalByDay, $this->firstDay, $limits, $this->plans,
            $this->age, $this->idleDays($on, $channels), $throwing,
        );
    }

    /**
     * @param  list<Channel>  $channels
     * @return int|null days since any of them last worked; null when they never have
     */
    public function idleDays(Day $on, array $channels): ?int
    {
        $measures = array_map(fn (Channel $channel): string => $channel === Channel::Landing ? 'landings' : $channel->value, $channels);
        $last = null;
        foreach ($this->record as $set) {
            if ($set->day < $on->ordinal && ($last === null || $set->day > $last)) {
                foreach ($measures as $measure) {
                    if ($set->cost[$measure] > 0.0) {
                        $last = $set->day;
                        break;
                    }
                }
            }
        }

        // The days between are idle; the day before yesterday's work leaves one.
        return $last === null ? null : $on->ordinal - $last - 1;
    }
}
