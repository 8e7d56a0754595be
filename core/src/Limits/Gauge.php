<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Load\CostedSet;
use Closure;

/** A limit held against one record on one day: the record is summed once, plans are then read off cheaply. */
final readonly class Gauge
{
    /**
     * @param  Closure(list<CostedSet>): LimitState  $read  takes the planned sets of the day that fit the limit's filter
     * @param  float|null  $allowance  how much more of the measure a new session on the day may hold; null when an
     *         amount alone breaks nothing
     */
    public function __construct(public Limit $limit, private Closure $read, public ?float $allowance = null) {}

    /**
     * The plan looked through once, for many readings beside it.
     *
     * @param  list<CostedSet>  $plan  the planned sets of the day
     * @return Closure(CostedSet): LimitState takes work that the limit touches
     */
    public function beside(array $plan): Closure
    {
        $fitting = array_values(array_filter($plan, $this->limit->filter->fits(...)));

        return fn (CostedSet $work): LimitState => ($this->read)([...$fitting, $work]);
    }

    /** @param  list<CostedSet>  $plan the planned sets of the day */
    public function read(array $plan): LimitState
    {
        return ($this->read)(array_values(array_filter($plan, $this->limit->filter->fits(...))));
    }
}
