<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\Side;

/**
 * Which limits hold for an athlete on any day, ahead too: the rule set, tightened by growth, a way back, the weeks
 * after one, and matches.
 */
final readonly class LimitCalendar
{
    /** @var list<Limit> the rule set with growth, and with the rest days after matches */
    private array $limits;

    /** @var list<Limit> the same on a match day */
    private array $onMatchDays;

    /**
     * @param  list<Limit>  $limits  of the rule set
     * @param  list<int>  $matchDays  ordinals of declared match days
     * @param  bool  $returning  whether a way back is under way
     * @param  list<DoneReturn>  $doneReturns
     * @param  list<DatedLimits>  $dated
     */
    public function __construct(
        array $limits,
        public AthleteProfile $athlete,
        public array $matchDays = [],
        bool $growingFast = false,
        public bool $returning = false,
        private array $doneReturns = [],
        private array $dated = [],
    ) {
        $limits = $growingFast ? Adjustment::growing($limits) : $limits;
        $this->limits = $matchDays === [] ? $limits : array_map(
            fn (Limit $limit): Limit => $limit instanceof RestLimit ? $limit->afterMatches($matchDays) : $limit,
            $limits,
        );
        $this->onMatchDays = $matchDays === [] ? [] : array_map(fn (Limit $limit): Limit => $limit->onMatchDay(), $this->limits);
    }

    /** Only the limits that bind: for whoever plans, and shows none of the advice. */
    public function hardOnly(): self
    {
        return new self(
            limits: array_values(array_filter($this->limits, fn (Limit $limit): bool => $limit->isHard())),
            athlete: $this->athlete,
            matchDays: $this->matchDays,
            growingFast: false,
            returning: $this->returning,
            doneReturns: $this->doneReturns,
            dated: $this->dated,
        );
    }

    /** The calendar from the day a way back ends. */
    public function returned(DoneReturn $done): self
    {
        return new self(
            limits: $this->limits,
            athlete: $this->athlete,
            matchDays: $this->matchDays,
            growingFast: false,
            returning: false,
            doneReturns: [...$this->doneReturns, $done],
            dated: $this->dated,
        );
    }

    /**
     * @param  LoadRecord  $record  up to the day
     * @return list<Limit> those of single days first, those of the weeks after a return, then the rule set in its order, every age
     */
    public function on(Day $on, LoadRecord $record): array
    {
        return $this->holding($on, $record, fn (Limit $limit): bool => true);
    }

    /**
     * @param  callable(Limit): bool  $wanted  the same of a limit whatever its floor
     * @return list<Limit>
     */
    private function holding(Day $on, LoadRecord $record, callable $wanted): array
    {
        $limits = in_array($on->ordinal, $this->matchDays, true) ? $this->onMatchDays : $this->limits;
        if ($this->doneReturns === []) {
            // The weeks after a return look at all of them; without one, what nobody wants need not be made tighter first.
            $limits = array_values(array_filter($limits, $wanted));
        }
        $idle = [];
        $limits = Adjustment::returning($limits, function (?Side $side) use ($on, $record, &$idle): bool {
            // No work on record at all, and no declared week, is the strictest case.
            return $this->returning
                || $idle[$side->value ?? ''] ??= $record->isIdleFor(
                    Adjustment::LONG_LAYOFF_DAYS,
                    $on,
                    Channel::Arm,
                    $side,
                    Adjustment::ENDS_IDLE_UNITS,
                    false,
                );
        });
        $ahead = [];
        foreach ($this->dated as $each) {
            $ahead = $each->holdOn($on) ? [...$ahead, ...$each->limits] : $ahead;
        }
        foreach ($this->afterReturns($limits, $on, $record) as $limit) {
            $ahead[] = $limit;
        }

        return [...array_values(array_filter($ahead, $wanted)), ...array_values(array_filter($limits, $wanted))];
    }

    /**
     * @param  list<Limit>  $limits
     * @return array<string, CapLimit> by id
     */
    private function afterReturns(array $limits, Day $on, LoadRecord $record): array
    {
        $after = [];
        foreach ($this->doneReturns as $done) {
            $applying = array_values(array_filter($limits, fn (Limit $limit): bool => $limit->appliesAt($this->athlete->ageOn($on))));
            $limit = Adjustment::afterReturn($applying, $done, $record, $on);
            if ($limit !== null) {
                $after[$limit->id] = $limit;
            }
        }

        return $after;
    }

    /**
     * The hard step of the arm's week, on the dominant side: the line a week of load is drawn under.
     *
     * @param  LoadRecord  $record  up to the day
     */
    public function armStep(Day $on, LoadRecord $record): ?StepLimit
    {
        foreach ($this->on($on, $record) as $limit) {
            if (
                $limit instanceof StepLimit
                && $limit->isHard()
                && $limit->measure === Measure::Arm
                && $limit->filter->sides !== [Side::Other]
                && $limit->appliesAt($this->athlete->ageOn($on))
            ) {
                return $limit;
            }
        }

        return null;
    }

    /** @param  LoadRecord  $record  up to the day */
    public function board(Day $on, LoadRecord $record): LimitBoard
    {
        $age = $this->athlete->ageOn($on);

        return LimitBoard::of($this->holding($on, $record, fn (Limit $limit): bool => $limit->appliesAt($age)), $record, $on, $age);
    }

    /**
     * Only the hard limits that one such repetition touches.
     *
     * @param  LoadRecord  $record  up to the day
     */
    public function hardBoard(Day $on, LoadRecord $record, CostedSet $oneRep): LimitBoard
    {
        $age = $this->athlete->ageOn($on);
        $binds = fn (Limit $limit): bool => $limit->isHard() && $limit->appliesAt($age) && $limit->touches($oneRep);

        return LimitBoard::of($this->holding($on, $record, $binds), $record, $on, $age);
    }

    /** @return int|null on how many later days work today can tighten a hard limit; null when there is no end to it */
    public function reachDays(): ?int
    {
        // The weekly maximum after a return reaches as far as any week does.
        $reach = 6;
        foreach ($this->limits as $limit) {
            if ($limit->isHard()) {
                $days = $limit->reachDays();
                if ($days === null) {
                    return null;
                }
                $reach = max($reach, $days);
            }
        }

        return $reach;
    }
}
