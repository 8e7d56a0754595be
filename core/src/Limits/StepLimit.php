<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;

/** A week may grow by so much over the mean of the four weeks before it, or over a floor. */
final readonly class StepLimit extends Limit
{
    /**
     * @param  float  $maxIncrease 0.15 for 15 %
     */
    public function __construct(
        LimitTerms $terms,
        Measure $measure, public float $maxIncrease, public float $floor,
    ) {
        parent::__construct($terms, $measure);
    }

    public function kind(): string
    {
        return 'step';
    }

    /** Later than the week itself more work only raises what the week is held against. */
    public function reachDays(): int
    {
        return 6;
    }

    public function scaled(float $share): self
    {
        return $this->withFloor($this->floor * $share);
    }

    public function withFloor(float $floor): self
    {
        return new self($this->terms, $this->summedMeasure(), maxIncrease: $this->maxIncrease, floor: $floor);
    }

    public function gauge(LoadRecord $record, Day $on): Gauge
    {
        $series = $this->series($record);
        $used = $series->sum($on->ordinal - 6, $on->ordinal);
        $base = $series->sum($on->ordinal - 34, $on->ordinal - 7) / 4;
        $max = (1 + $this->maxIncrease) * max($base, $this->floor);

        return new Gauge(
            $this,
            fn (array $plan): LimitState => $this->against($max, $used, $used + $this->amount($plan), true),
            max(0.0, $max - $used),
        );
    }
}
