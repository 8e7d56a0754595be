<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;

/** All limits that hold for an athlete on a day, against the record. */
final readonly class LimitBoard
{
    /** Beyond this many repetitions no limit is said to bind. */
    private const MOST_REPS = 10_000;

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
        $board = $this->hardTouchedBy([$oneRep]);
        $over = fn (int $reps): array => $board->over([...$plan, $oneRep->times($reps)]);
        if ($over(self::MOST_REPS) === []) {
            return new Headroom(null, []);
        }
        // More repetitions never mend a limit, so the largest that fits can be found by halving.
        [$fits, $breaks] = [0, self::MOST_REPS];
        while ($breaks - $fits > 1) {
            $middle = intdiv($fits + $breaks, 2);
            if ($over($middle) === []) {
                $fits = $middle;
            } else {
                $breaks = $middle;
            }
        }

        return new Headroom($fits, array_map(fn (LimitState $state): Limit => $state->limit, $over($breaks)));
    }
}
