<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Tolerance;

/** After a day of so much work, so many days without. */
final readonly class RestLimit extends Limit
{
    private const LOOK_BACK_DAYS = 30;

    /**
     * @param  array{int, int}|null  $ages
     * @param  list<array{float, int}>  $table  pairs of work at least, rest days
     */
    public function __construct(
        string $id, string $label, string $source, Severity $severity, ?array $ages, LimitFilter $filter,
        Measure $measure, public array $table,
    ) {
        parent::__construct($id, $label, $source, $severity, $ages, $filter, $measure);
    }

    public function kind(): string
    {
        return 'rest';
    }

    public function gauge(LoadRecord $record, Day $on): Gauge
    {
        $earliest = $this->earliest($record, $on);

        return new Gauge($this, fn (array $plan): LimitState => new LimitState(
            $this, null, null, null, null,
            $this->amount($plan) > 0.0 && $earliest->isAfter($on) ? Status::Over : Status::Within,
            $earliest,
        ));
    }

    /** The first day, from $on, on which such work is allowed. */
    private function earliest(LoadRecord $record, Day $on): Day
    {
        $series = $this->series($record);
        $earliest = $on;
        for ($back = 1; $back <= self::LOOK_BACK_DAYS; $back++) {
            $work = $series->on($on->ordinal - $back);
            foreach ($this->table as [$atLeast, $restDays]) {
                if (Tolerance::atLeast($work, $atLeast)) {
                    $earliest = $earliest->latest($on->plus($restDays + 1 - $back));
                }
            }
        }

        return $earliest;
    }
}
