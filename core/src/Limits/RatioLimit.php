<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\RatioMethod;
use Augendo\Core\Tolerance;

/** The last week against the weeks before, within a band. */
final readonly class RatioLimit extends Limit
{
    /**
     * @param  int  $minDays days of record below which the ratio is not known
     */
    public function __construct(
        LimitTerms $terms,
        Measure $measure, public RatioMethod $method, public float $low, public float $high, public float $stop,
        public int $minDays, public float $minChronic = 0.0,
    ) {
        parent::__construct($terms, $measure);
    }

    public function kind(): string
    {
        return 'ratio';
    }

    public function reachDays(): null
    {
        return null;
    }

    public function gauge(LoadRecord $record, Day $on): Gauge
    {
        $series = $this->series($record);
        $recordDays = $record->firstDay() === null ? 0 : $on->ordinal - $record->firstDay() + 1;
        $ratio = fn (DailySeries $of): ?float => $recordDays < $this->minDays
            ? null
            : $this->method->ratio($of, $on->ordinal, $this->minChronic);
        $used = $ratio($series);

        return new Gauge($this, function (array $plan) use ($series, $ratio, $used, $on): LimitState {
            $projected = $plan === [] ? $used : $ratio($series->with($on->ordinal, $this->amount($plan)));

            return new LimitState(
                limit: $this,
                used: $used,
                projected: $projected,
                max: $this->stop,
                remaining: null,
                status: $this->status($projected),
            );
        }, $this->allowance(fn (float $amount): ?float => $ratio($series->with($on->ordinal, $amount))));
    }

    /**
     * More work today only raises the ratio, so the most that keeps it at the stop is found by halving.
     *
     * @param  callable(float): ?float  $ratioWith
     */
    private function allowance(callable $ratioWith): ?float
    {
        $over = fn (float $amount): bool => Tolerance::above($ratioWith($amount) ?? 0.0, $this->stop);
        [$fits, $breaks] = [0.0, 1e6];
        if (! $this->isHard() || ! $over($breaks)) {
            return null;
        }
        for ($i = 0; $i < 60; $i++) {
            $middle = ($fits + $breaks) / 2;
            if ($over($middle)) {
                $breaks = $middle;
            } else {
                $fits = $middle;
            }
        }

        return $fits;
    }

    private function status(?float $ratio): Status
    {
        return match (true) {
            $ratio === null => Status::Unknown,
            Tolerance::above($ratio, $this->stop) => Status::Over,
            Tolerance::above($ratio, $this->high) => Status::Near,
            Tolerance::above($this->low, $ratio) => Status::Low,
            default => Status::Within,
        };
    }
}
