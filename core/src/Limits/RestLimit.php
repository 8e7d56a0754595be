<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Tolerance;

/** After a day of so much work, so many days without: what counts on that day and what must wait after it may be two things. */
final readonly class RestLimit extends Limit
{
    /** Work and matches of so many days before count: nothing asks for rest longer after one. */
    public const LOOK_BACK_DAYS = 30;

    private const AFTER_A_MATCH_DAYS = 1;

    /**
     * @param  list<array{float, int}>  $table  pairs of work at least, rest days
     * @param  list<int>  $matchDays  ordinals of declared match days: such work there asks for one rest day more
     * @param  LimitFilter|null  $owedBy  what counts on a day; null: the limit's own filter, which says what must wait
     * @param  Measure|null  $waits  the measure that must wait; null: the one the days are measured by
     */
    public function __construct(
        LimitTerms $terms,
        Measure $measure, public array $table, public array $matchDays = [], public ?LimitFilter $owedBy = null,
        public ?Measure $waits = null,
    ) {
        parent::__construct($terms, $measure);
    }

    public function kind(): string
    {
        return 'rest';
    }

    public function reachDays(): int
    {
        return max([0, ...array_column($this->table, 1)]) + self::AFTER_A_MATCH_DAYS;
    }

    public function onMatchDay(): self
    {
        return $this->made($this->advisory(), $this->matchDays);
    }

    /** @param  list<int>  $days  ordinals */
    public function afterMatches(array $days): self
    {
        return $this->made($this->terms, $days);
    }

    /** @param  list<int>  $matchDays */
    private function made(LimitTerms $terms, array $matchDays): self
    {
        return new self(
            terms: $terms,
            measure: $this->summedMeasure(),
            table: $this->table,
            matchDays: $matchDays,
            owedBy: $this->owedBy,
            waits: $this->waits,
        );
    }

    public function touches(CostedSet $oneRep): bool
    {
        return $this->filter->fits($oneRep) && $this->waiting([$oneRep]) > 0.0;
    }

    public function gauge(LoadRecord $record, Day $on): Gauge
    {
        $earliest = $this->earliest($record, $on);

        return new Gauge($this, fn (array $plan): LimitState => new LimitState(
            limit: $this,
            used: null,
            projected: null,
            max: null,
            remaining: null,
            status: $this->waiting($plan) > 0.0 && $earliest->isAfter($on) ? Status::Over : Status::Within,
            earliest: $earliest,
        ));
    }

    /**
     * How much of these sets is what must wait.
     *
     * @param  list<CostedSet>  $sets
     */
    private function waiting(array $sets): float
    {
        return $this->waits === null ? $this->amount($sets) : self::sum($this->waits, $sets);
    }

    /** The first day, from $on, on which such work is allowed. */
    private function earliest(LoadRecord $record, Day $on): Day
    {
        $owedBy = $this->owedBy ?? $this->filter;
        $series = $record->series($this->summedMeasure(), $owedBy->key(), $owedBy->fits(...));
        $waitDays = 0;
        for ($back = 1; $back <= self::LOOK_BACK_DAYS; $back++) {
            $work = $series->on($on->ordinal - $back);
            $restDays = $work > 0.0 && in_array($on->ordinal - $back, $this->matchDays, true) ? self::AFTER_A_MATCH_DAYS : 0;
            $afterWork = 0;
            foreach ($this->table as [$atLeast, $days]) {
                $afterWork = Tolerance::atLeast($work, $atLeast) ? max($afterWork, $days) : $afterWork;
            }
            $waitDays = max($waitDays, $restDays + $afterWork + 1 - $back);
        }

        return $on->plus($waitDays);
    }
}
