<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

use Augendo\Core\Day;

/** What an athlete has done, priced, by day. Series are summed once for each filter and measure, then kept. */
final class LoadRecord
{
    /** @var array<int, list<CostedSet>> */
    private array $setsByDay = [];

    private ?int $firstDay = null;

    /** @var array<string, DailySeries> */
    private array $series = [];

    /** @var array<string, array{Measure, callable(CostedSet): bool}> what each kept series sums, by its key */
    private array $summed = [];

    /**
     * @param  iterable<CostedSet>  $sets  in any order
     * @param  array<int, float>  $internalByDay  minutes × session RPE by ordinal of the day
     * @param  int|null  $firstDay  ordinal of the first day of the whole record, when $sets holds only its recent part
     */
    public function __construct(iterable $sets, private array $internalByDay = [], ?int $firstDay = null)
    {
        foreach ($sets as $set) {
            $this->setsByDay[$set->day][] = $set;
        }
        ksort($this->setsByDay);
        $days = [...array_keys($this->setsByDay), ...array_keys($internalByDay)];
        if ($firstDay !== null) {
            $days[] = $firstDay;
        }
        $this->firstDay = $days === [] ? null : min($days);
    }

    /**
     * The record with more sets in it. Series that are summed already are carried on, not summed anew.
     *
     * @param  list<CostedSet>  $sets
     */
    public function with(array $sets): self
    {
        if ($sets === []) {
            return $this;
        }
        $more = clone $this;
        foreach ($sets as $set) {
            $more->setsByDay[$set->day][] = $set;
        }
        $more->firstDay = min($this->firstDay ?? PHP_INT_MAX, ...array_map(fn (CostedSet $set): int => $set->day, $sets));
        if ($more->firstDay !== $this->firstDay) {
            $more->series = $more->summed = [];

            return $more;
        }
        foreach ($this->summed as $key => [$measure, $fits]) {
            $byDay = [];
            foreach ($sets as $set) {
                if ($set->cost[$measure->value] !== 0.0 && $fits($set)) {
                    $byDay[$set->day] = ($byDay[$set->day] ?? 0.0) + $set->cost[$measure->value];
                }
            }
            foreach ($byDay as $day => $amount) {
                $more->series[$key] = $more->series[$key]->with($day, $amount);
            }
        }

        return $more;
    }

    /** The record as it stood on the evening before a day. */
    public function before(Day $day): self
    {
        $sets = array_filter($this->setsByDay, fn (int $on): bool => $on < $day->ordinal, ARRAY_FILTER_USE_KEY);
        $internal = array_filter($this->internalByDay, fn (int $on): bool => $on < $day->ordinal, ARRAY_FILTER_USE_KEY);

        return new self(
            array_merge(...array_values($sets)),
            $internal,
            $this->firstDay !== null && $this->firstDay < $day->ordinal ? $this->firstDay : null,
        );
    }

    /**
     * @param  Side|null  $side  null for both together
     * @param  float  $atLeast  units that a day must hold to end an idle time; above 0
     * @param  bool  $withShadow  whether repetitions with nothing in the hand count
     * @return int|null full days between the last such day before $on and $on; null when there is none. A declared
     *         usual week is spread thin over
     *                  its days: any of them ends an idle time
     */
    public function idleDays(Day $on, Channel $channel, ?Side $side, float $atLeast, bool $withShadow): ?int
    {
        $measure = $channel->measure();
        $counts = fn (CostedSet $set): bool => ($side === null || $set->side === $side)
            && ($withShadow || $set->implement !== Implement::Shadow);
        $declared = fn (CostedSet $set): bool => $counts($set) && $set->cost['reps'] === 0.0 && $set->cost['shadow'] === 0.0;
        $key = "idle {$side?->value} ".($withShadow ? 'shadow' : '');
        $worked = $this->series($measure, $key, $counts);
        $thinly = $this->series($measure, "{$key} declared", $declared);
        for ($day = $on->ordinal - 1; $this->firstDay !== null && $day >= $this->firstDay; $day--) {
            $amount = $worked->on($day);
            if (($amount > 0.0 && $amount >= $atLeast) || $thinly->on($day) > 0.0) {
                return $on->ordinal - $day - 1;
            }
        }

        return null;
    }

    public function firstDay(): ?int
    {
        return $this->firstDay;
    }

    /** @return list<CostedSet> */
    public function setsOn(int $day): array
    {
        return $this->setsByDay[$day] ?? [];
    }

    /**
     * @param  callable(CostedSet): bool  $fits
     * @param  string  $key names what $fits keeps, so that equal filters share one sum
     */
    public function series(Measure $measure, string $key, callable $fits): DailySeries
    {
        if ($measure === Measure::Internal) {
            return $this->series['internal'] ??= new DailySeries($this->internalByDay, $this->firstDay);
        }

        $this->summed["{$measure->value}|{$key}"] ??= [$measure, $fits];

        return $this->series["{$measure->value}|{$key}"] ??= $this->sum($measure->value, $fits);
    }

    public function wholeSeries(Measure $measure): DailySeries
    {
        return $this->series($measure, '', fn (): bool => true);
    }

    /** @param  callable(CostedSet): bool  $fits */
    private function sum(string $measure, callable $fits): DailySeries
    {
        $byDay = [];
        foreach ($this->setsByDay as $day => $sets) {
            $sum = 0.0;
            foreach ($sets as $set) {
                if ($fits($set)) {
                    $sum += $set->cost[$measure];
                }
            }
            if ($sum !== 0.0) {
                $byDay[$day] = $sum;
            }
        }

        return new DailySeries($byDay, $this->firstDay);
    }
}
