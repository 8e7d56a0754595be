<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

use Augendo\Core\Day;

/** A year of overhead work: how many months of it, and how long the longest time off was. */
final readonly class YearRound
{
    private const DAYS = 365;

    private const DAYS_A_MONTH = 30;

    private const ENOUGH_OFF_DAYS = 60;

    /** A shorter record says nothing of a year. */
    private const LEAST_KNOWN_DAYS = 300;

    private function __construct(public int $monthsWorked, public int $longestOffDays, public int $daysKnown) {}

    public static function of(DailySeries $arm, Day $on): self
    {
        $known = $arm->firstDay === null ? 0 : min(self::DAYS, $on->ordinal - $arm->firstDay + 1);
        $longest = $off = 0;
        for ($day = $on->ordinal - $known + 1; $day <= $on->ordinal; $day++) {
            $off = $arm->on($day) > 0.0 ? 0 : $off + 1;
            $longest = max($longest, $off);
        }
        $months = 0;
        for ($back = 0; $back < 12; $back++) {
            $to = $on->ordinal - $back * self::DAYS_A_MONTH;
            $months += $arm->sum($to - self::DAYS_A_MONTH + 1, $to) > 0.0 ? 1 : 0;
        }

        return new self($months, $longest, $known);
    }

    /** Whether there is enough on record to look at a year. */
    public function isKnown(): bool
    {
        return $this->daysKnown >= self::LEAST_KNOWN_DAYS;
    }

    /** Fewer than two months off in one piece, as far as that is known. */
    public function isShortOfRest(): bool
    {
        return $this->isKnown() && $this->longestOffDays < self::ENOUGH_OFF_DAYS;
    }
}
