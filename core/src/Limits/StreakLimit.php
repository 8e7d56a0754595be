<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Tolerance;

/** At most so many days running with such work. */
final readonly class StreakLimit extends Limit
{
    /**
     * @param  float|null  $atLeast null: anything above 0
     */
    public function __construct(
        LimitTerms $terms,
        Measure $measure, public int $maxDays, public ?float $atLeast,
    ) {
        parent::__construct($terms, $measure);
    }

    public function kind(): string
    {
        return 'streak';
    }

    public function reachDays(): int
    {
        return $this->maxDays;
    }

    public function onMatchDay(): self
    {
        return new self($this->advisory(), $this->summedMeasure(), maxDays: $this->maxDays, atLeast: $this->atLeast);
    }

    public function gauge(LoadRecord $record, Day $on): Gauge
    {
        $series = $this->series($record);
        $before = 0;
        while ($this->counts($series->on($on->ordinal - $before - 1))) {
            $before++;
        }
        $today = $series->on($on->ordinal);
        $used = $before + ($this->counts($today) ? 1 : 0);

        return new Gauge($this, function (array $plan) use ($before, $today, $used): LimitState {
            $projected = $this->counts($today + $this->amount($plan)) ? $before + 1 : 0;

            return new LimitState(
                limit: $this,
                used: $used,
                projected: $projected,
                max: $this->maxDays,
                remaining: max(0, $this->maxDays - max($used, $projected)),
                status: $projected > $this->maxDays ? Status::Over : Status::Within,
            );
        }, $this->allowance($before, $today));
    }

    /** A day is free until it would count and make the run too long; then it may hold just less than what counts. */
    private function allowance(int $before, float $today): ?float
    {
        if ($before + 1 <= $this->maxDays) {
            return null;
        }

        return $this->counts($today) ? 0.0 : max(0.0, ($this->atLeast ?? 0.0) - $today - 1e-6);
    }

    private function counts(float $work): bool
    {
        return $this->atLeast === null ? $work > 0.0 : $work > 0.0 && Tolerance::atLeast($work, $this->atLeast);
    }
}
