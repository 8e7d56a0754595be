<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\Stations\UsualHour;

/** What may become of a session that was planned: it can be moved and called off until somebody has counted in it. */
final readonly class SessionLife
{
    /** Of so many days, today with them, everybody has a sheet; the sessions after that stand on the calendar alone. */
    public const SHEETS_AHEAD_DAYS = 14;

    /** So long after it was made a change of the plan is offered to be taken back. */
    public const TAKE_BACK_DAYS = 7;

    /**
     * @param  Day  $on  the day it is on
     * @param  bool  $isOff  called off or deleted
     * @param  bool  $isCounted  somebody has counted a repetition in it, or closed it
     */
    public function __construct(private Day $on, private bool $isOff, private bool $isCounted) {}

    /** @return 'off'|'counted'|'past'|null why it may not be put on another day; null: it may */
    public function refusesDay(Day $to, Day $today): ?string
    {
        return $this->refusesEnd() ?? ($today->isAfter($to) ? 'past' : null);
    }

    /** @return 'off'|'counted'|null why it may not be called off or deleted; null: it may. What was counted is closed instead. */
    public function refusesEnd(): ?string
    {
        return match (true) {
            $this->isOff => 'off',
            $this->isCounted => 'counted',
            default => null,
        };
    }

    /** @return 'counted'|null why it may not be put out of sight; what was called off may */
    public function refusesDelete(): ?string
    {
        return $this->isCounted ? 'counted' : null;
    }

    /**
     * Whether it goes along when a session of its series is changed for “this one and all after”: those changed on their own,
     * counted or called off stay as they are.
     *
     * @param  bool  $own  changed on its own
     */
    public function followsSeries(Day $changed, bool $own): bool
    {
        return ! $own && $this->refusesEnd() === null && ! $changed->isAfter($this->on);
    }

    /**
     * Whether two sessions of a day are at the same time, so that nobody can be in both.
     *
     * @param  string  $startsAt  HH:MM
     * @param  int|null  $minutes  null: as long as a session usually is
     */
    public static function overlap(string $startsAt, ?int $minutes, string $otherStartsAt, ?int $otherMinutes): bool
    {
        [$start, $other] = [self::minuteOfDay($startsAt), self::minuteOfDay($otherStartsAt)];

        return $start < $other + ($otherMinutes ?? UsualHour::MINUTES) && $other < $start + ($minutes ?? UsualHour::MINUTES);
    }

    private static function minuteOfDay(string $clock): int
    {
        return 60 * (int) substr($clock, 0, 2) + (int) substr($clock, 3, 2);
    }

    /** Whether its sheets are made: the day is near enough for doses to mean something. */
    public static function needsSheets(Day $on, Day $today): bool
    {
        return $on->daysSince($today) < self::SHEETS_AHEAD_DAYS;
    }
}
