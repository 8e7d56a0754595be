<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;

/** At most so much in a window of days that ends on the day, or in one session. */
final readonly class CapLimit extends Limit
{
    /**
     * @param  int|null  $windowDays  null for a window of one session
     */
    public function __construct(
        LimitTerms $terms,
        Measure $measure, public ?int $windowDays, public float $max,
    ) {
        parent::__construct($terms, $measure);
    }

    public function kind(): string
    {
        return 'cap';
    }

    public function reachDays(): int
    {
        return ($this->windowDays ?? 1) - 1;
    }

    public function scaled(float $share): self
    {
        return new self($this->terms, $this->summedMeasure(), windowDays: $this->windowDays, max: $this->max * $share);
    }

    public function gauge(LoadRecord $record, Day $on): Gauge
    {
        if ($this->windowDays === null) {
            return $this->sessionGauge($record, $on);
        }
        $used = $this->series($record)->sum($on->ordinal - $this->windowDays + 1, $on->ordinal);

        return new Gauge(
            $this,
            fn (array $plan): LimitState => $this->against($this->max, $used, $used + $this->amount($plan), true),
            max(0.0, $this->max - $used),
        );
    }

    private function sessionGauge(LoadRecord $record, Day $on): Gauge
    {
        $done = $this->bySession(array_filter($record->setsOn($on->ordinal), $this->filter->fits(...)));

        return new Gauge($this, function (array $plan) use ($done): LimitState {
            if ($plan === []) {
                $largest = max([0.0, ...array_values($done)]);

                return $this->against($this->max, $largest, $largest, true);
            }
            $projected = 0.0;
            foreach ($this->bySession($plan) as $session => $planned) {
                $projected = max($projected, $planned + ($done[$session] ?? 0.0));
            }

            return $this->against($this->max, 0.0, $projected, true);
        }, $this->max);
    }

    /**
     * @param  array<CostedSet>  $sets
     * @return array<string, float>
     */
    private function bySession(array $sets): array
    {
        $sums = [];
        foreach ($sets as $set) {
            $sums[$set->session] = ($sums[$set->session] ?? 0.0) + $this->amount([$set]);
        }

        return $sums;
    }
}
