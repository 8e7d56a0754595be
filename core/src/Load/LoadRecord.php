<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

use Augendo\Core\Day;

/** What an athlete has done, priced, by day. Series are summed once for each filter and measure, then kept. */
final class LoadRecord
{
    /** @var array<int, list<CostedSet>> */
    private array $setsByDay = [];

    /** @var array<string, non-empty-list<CostedSet>> the same sets by kind of work, so that a filter looks at each kind once */
    private array $setsByKind = [];

    private ?int $firstDay = null;

    /** @var array<string, DailySeries> */
    private array $series = [];

    /** @var array<string, array{Measure, callable(CostedSet): bool}> what each kept series sums, by its key */
    private array $summed = [];

    private ?self $whole = null;

    /**
     * @param  iterable<CostedSet>  $sets  in any order
     * @param  array<int, float>  $internalByDay  minutes × session RPE by ordinal of the day
     * @param  int|null  $firstDay  ordinal of the first day of the whole record, when $sets holds only its recent part
     * @param  EarlierRecord|null  $earlier  the days before those of $sets; null: there is no work on them
     */
    public function __construct(
        iterable $sets,
        private array $internalByDay = [],
        ?int $firstDay = null,
        private ?EarlierRecord $earlier = null,
    ) {
        foreach ($sets as $set) {
            $this->setsByDay[$set->day][] = $set;
            $this->setsByKind[$set->kind()][] = $set;
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
        if ($this->earlier !== null && min(array_map(fn (CostedSet $set): int => $set->day, $sets)) <= $this->earlier->throughDay()) {
            return $this->whole()->with($sets);
        }
        $more = clone $this;
        $more->whole = null;
        foreach ($sets as $set) {
            $more->setsByDay[$set->day][] = $set;
            $more->setsByKind[$set->kind()][] = $set;
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

    /** The same record with nothing left to fetch. */
    public function whole(): self
    {
        return $this->earlier === null ? $this : $this->whole ??= new self(
            [...$this->earlier->sets(), ...array_merge(...array_values($this->setsByDay))],
            $this->internalByDay,
            $this->firstDay,
        );
    }

    /** The record as it stood on the evening before a day. */
    public function before(Day $day): self
    {
        if ($this->earlier !== null && $day->ordinal <= $this->earlier->throughDay()) {
            return $this->whole()->before($day);
        }
        $sets = array_filter($this->setsByDay, fn (int $on): bool => $on < $day->ordinal, ARRAY_FILTER_USE_KEY);
        $internal = array_filter($this->internalByDay, fn (int $on): bool => $on < $day->ordinal, ARRAY_FILTER_USE_KEY);

        return new self(
            array_merge(...array_values($sets)),
            $internal,
            $this->firstDay !== null && $this->firstDay < $day->ordinal ? $this->firstDay : null,
            $this->earlier,
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
        return $this->idleFrom(
            to: $on->ordinal - 1,
            from: PHP_INT_MIN,
            channel: $channel,
            side: $side,
            atLeast: $atLeast,
            withShadow: $withShadow,
        );
    }

    /** Whether the idle time before $on is of so many days or more; no record at all is idle for ever. The rest as with idleDays(). */
    public function isIdleFor(int $days, Day $on, Channel $channel, ?Side $side, float $atLeast, bool $withShadow): bool
    {
        return $this->idleFrom(
            to: $on->ordinal - 1,
            from: $on->ordinal - $days,
            channel: $channel,
            side: $side,
            atLeast: $atLeast,
            withShadow: $withShadow,
        ) === null;
    }

    /** @return int|null full days after the last day of work among those from $to back to $from; null when there is none */
    private function idleFrom(int $to, int $from, Channel $channel, ?Side $side, float $atLeast, bool $withShadow): ?int
    {
        $measure = $channel->measure();
        $counts = fn (CostedSet $set): bool => ($side === null || $set->side === $side)
            && ($withShadow || $set->implement !== Implement::Shadow);
        $key = "idle {$side?->value} ".($withShadow ? 'shadow' : '');
        $worked = $this->series($measure, $key, $counts);
        $carriedThrough = $this->earlier?->throughDay() ?? PHP_INT_MIN;
        $earliest = max($from, $this->firstDay ?? PHP_INT_MAX, $carriedThrough + 1);
        for ($day = $to; $day >= $earliest; $day--) {
            $amount = $worked->on($day);
            if ($amount > 0.0 && ($amount >= $atLeast || $this->isDeclaredOn($day, $measure, $counts))) {
                return $to - $day;
            }
        }
        if ($this->earlier === null || $from > $carriedThrough || $this->earlier->series($measure->value, $counts)->isEmpty()) {
            return null;
        }

        return $this->whole()->idleFrom($to, $from, $channel, $side, $atLeast, $withShadow);
    }

    /**
     * Whether such work of a declared usual week lies on a day: it has a load and no repetitions.
     *
     * @param  callable(CostedSet): bool  $fits
     */
    private function isDeclaredOn(int $day, Measure $measure, callable $fits): bool
    {
        foreach ($this->setsByDay[$day] ?? [] as $set) {
            if ($set->cost[$measure->value] > 0.0 && $set->cost['reps'] === 0.0 && $set->cost['shadow'] === 0.0 && $fits($set)) {
                return true;
            }
        }

        return false;
    }

    public function firstDay(): ?int
    {
        return $this->firstDay;
    }

    /** @return list<CostedSet> */
    public function setsOn(int $day): array
    {
        return $this->earlier !== null && $day <= $this->earlier->throughDay()
            ? $this->whole()->setsOn($day)
            : $this->setsByDay[$day] ?? [];
    }

    /**
     * @param  callable(CostedSet): bool  $fits  looks at the kind of work
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
        foreach ($this->setsByKind as $sets) {
            if ($fits($sets[0])) {
                foreach ($sets as $set) {
                    if ($set->cost[$measure] !== 0.0) {
                        $byDay[$set->day] = ($byDay[$set->day] ?? 0.0) + $set->cost[$measure];
                    }
                }
            }
        }

        return new DailySeries($byDay, $this->firstDay, $this->earlier?->series($measure, $fits));
    }
}
