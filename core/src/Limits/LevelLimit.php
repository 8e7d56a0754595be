<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;

/** No single set above so much effort (0 to 1; unknown is 1) or distance (metres; unknown is left out). */
final readonly class LevelLimit extends Limit
{
    /**
     * @param  'effort'|'distance'  $level
     */
    public function __construct(
        LimitTerms $terms,
        public string $level, public float $max,
    ) {
        parent::__construct($terms, null);
    }

    public function kind(): string
    {
        return 'level';
    }

    public function reachDays(): int
    {
        return 0;
    }

    public function touches(CostedSet $oneRep): bool
    {
        return $this->filter->fits($oneRep) && $this->value($oneRep) !== null;
    }

    public function gauge(LoadRecord $record, Day $on): Gauge
    {
        $used = $this->largest(array_filter($record->setsOn($on->ordinal), $this->filter->fits(...)));

        return new Gauge($this, fn (array $plan): LimitState => $this->against($this->max, $used, $this->largest($plan), false));
    }

    /** @param  array<CostedSet>  $sets */
    private function largest(array $sets): float
    {
        return max([0.0, ...array_map(fn (CostedSet $set): float => $this->value($set) ?? 0.0, array_values($sets))]);
    }

    private function value(CostedSet $set): ?float
    {
        return $this->level === 'effort' ? $set->effort : $set->distanceM;
    }
}
