<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** One measure by day. Days that are not there are idle days, worth zero. */
final readonly class DailySeries
{
    /**
     * @param  array<int, float>  $byDay  by ordinal of the day
     * @param  int|null  $firstDay  ordinal of the first day of the whole record; null without a record
     */
    public function __construct(public array $byDay, public ?int $firstDay) {}

    public function on(int $day): float
    {
        return $this->byDay[$day] ?? 0.0;
    }

    /** Sum of the days from $from to $to, both included. */
    public function sum(int $from, int $to): float
    {
        $sum = 0.0;
        for ($day = $from; $day <= $to; $day++) {
            $sum += $this->byDay[$day] ?? 0.0;
        }

        return $sum;
    }

    /** The same series with more work on one day. */
    public function with(int $day, float $amount): self
    {
        $byDay = $this->byDay;
        $byDay[$day] = ($byDay[$day] ?? 0.0) + $amount;

        return new self($byDay, $this->firstDay === null ? $day : min($this->firstDay, $day));
    }
}
