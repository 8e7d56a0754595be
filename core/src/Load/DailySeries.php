<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** One measure by day. Days that are not there are idle days, worth zero. */
final readonly class DailySeries
{
    /** Smoothing over 7 and 28 days: λ = 2 / (N + 1). */
    private const ACUTE_LAMBDA = 2 / 8;

    private const CHRONIC_LAMBDA = 2 / 29;

    /** How far the weighted averages were carried last, so that day after day is asked for at the cost of a day. */
    private CarriedAverages $carried;

    /**
     * @param  array<int, float>  $byDay  by ordinal of the day
     * @param  int|null  $firstDay  ordinal of the first day of the whole record; null without a record
     * @param  EarlierSeries|null  $earlier  the days before those of $byDay; null: there are none
     */
    public function __construct(private array $byDay, public ?int $firstDay, private ?EarlierSeries $earlier = null)
    {
        $this->carried = new CarriedAverages;
    }

    public function on(int $day): float
    {
        if (isset($this->byDay[$day])) {
            return $this->byDay[$day];
        }

        return $this->earlier === null || $day > $this->earlier->throughDay ? 0.0 : $this->earlier->byDay()[$day] ?? 0.0;
    }

    /** @return array<int, float> every day with work, by its ordinal */
    public function byDay(): array
    {
        return $this->earlier === null ? $this->byDay : $this->earlier->byDay() + $this->byDay;
    }

    /** Sum of the days from $from to $to, both included. */
    public function sum(int $from, int $to): float
    {
        $byDay = $this->earlier === null || $from > $this->earlier->throughDay ? $this->byDay : $this->byDay();
        $sum = 0.0;
        for ($day = $from; $day <= $to; $day++) {
            $sum += $byDay[$day] ?? 0.0;
        }

        return $sum;
    }

    /** The same series with more work on one day. */
    public function with(int $day, float $amount): self
    {
        $earlier = $this->earlier !== null && $day > $this->earlier->throughDay ? $this->earlier : null;
        $byDay = $earlier === null ? $this->byDay() : $this->byDay;
        $byDay[$day] = ($byDay[$day] ?? 0.0) + $amount;
        $series = new self($byDay, $this->firstDay === null ? $day : min($this->firstDay, $day), $earlier);
        if ($this->carried->day !== null && $this->carried->day < $day && $series->firstDay === $this->firstDay) {
            $series->carry($this->carried->day, $this->carried->acute, $this->carried->chronic);
        }

        return $series;
    }

    /**
     * Exponentially weighted averages on a day, started at the first day of the record: E₀ = L₀, E = λL + (1−λ)E.
     *
     * @return array{float, float}|null over 7 and 28 days; null before the record
     */
    public function weightedAverages(int $day): ?array
    {
        if ($this->firstDay === null || $day < $this->firstDay) {
            return null;
        }
        [$from, $acute, $chronic] = [$this->carried->day, $this->carried->acute, $this->carried->chronic];
        if ($from === null || $from > $day) {
            [$from, $acute, $chronic] = $this->earlier !== null && $day >= $this->earlier->throughDay
                ? [$this->earlier->throughDay, $this->earlier->acute, $this->earlier->chronic]
                : [$this->firstDay, $this->on($this->firstDay), $this->on($this->firstDay)];
        }
        for ($t = $from + 1; $t <= $day; $t++) {
            $value = $this->on($t);
            $acute += self::ACUTE_LAMBDA * ($value - $acute);
            $chronic += self::CHRONIC_LAMBDA * ($value - $chronic);
        }
        $this->carry($day, $acute, $chronic);

        return [$acute, $chronic];
    }

    private function carry(int $day, float $acute, float $chronic): void
    {
        [$this->carried->day, $this->carried->acute, $this->carried->chronic] = [$day, $acute, $chronic];
    }
}
