<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** What an athlete has done, priced, by day. Series are summed once for each filter and measure, then kept. */
final class LoadRecord
{
    /** @var array<int, list<CostedSet>> */
    private array $setsByDay = [];

    private ?int $firstDay = null;

    /** @var array<string, DailySeries> */
    private array $series = [];

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
