<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;

/** All limits that hold for an athlete on a day, against the record. */
final readonly class LimitBoard
{
    /** @param  list<Gauge>  $gauges */
    private function __construct(private array $gauges) {}

    /**
     * @param  list<Limit>  $limits
     * @param  int|null  $age  whole years on that day; null when not known, and then every age range applies
     */
    public static function of(array $limits, LoadRecord $record, Day $on, ?int $age): self
    {
        $applying = array_filter($limits, fn (Limit $limit): bool => $limit->appliesAt($age));

        return new self(array_values(array_map(fn (Limit $limit): Gauge => $limit->gauge($record, $on), $applying)));
    }

    /**
     * @param  list<CostedSet>  $plan the planned sets of the day
     * @return list<LimitState> in the order of the rule set
     */
    public function states(array $plan): array
    {
        return array_map(fn (Gauge $gauge): LimitState => $gauge->read($plan), $this->gauges);
    }

    /**
     * Only the hard limits that one of these single repetitions touches.
     *
     * @param  list<CostedSet>  $oneReps
     */
    public function hardTouchedBy(array $oneReps): self
    {
        return new self(array_values(array_filter($this->gauges, function (Gauge $gauge) use ($oneReps): bool {
            foreach ($oneReps as $oneRep) {
                if ($gauge->limit->isHard() && $gauge->limit->touches($oneRep)) {
                    return true;
                }
            }

            return false;
        })));
    }

    /**
     * @param  list<CostedSet>  $plan
     * @return list<LimitState> the states that are over, in order
     */
    public function over(array $plan): array
    {
        return array_values(array_filter($this->states($plan), fn (LimitState $state): bool => $state->isOver()));
    }

    /** @return list<Gauge> */
    public function gauges(): array
    {
        return $this->gauges;
    }

    /**
     * How many repetitions of a kind still fit beside record and plan.
     *
     * @param  CostedSet  $oneRep  a set of one repetition
     * @param  list<CostedSet>  $plan
     */
    public function headroom(CostedSet $oneRep, array $plan): Headroom
    {
        $read = array_map(fn (Gauge $gauge): \Closure => $gauge->beside($plan), $this->hardTouchedBy([$oneRep])->gauges);

        return Headroom::largest(function (int $reps) use ($read, $oneRep): array {
            $work = $oneRep->times($reps);
            $states = array_map(fn (\Closure $with): LimitState => $with($work), $read);

            return array_values(array_filter($states, fn (LimitState $state): bool => $state->isOver()));
        });
    }
}
