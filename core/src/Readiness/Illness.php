<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;

/**
 * Days ill, and the way back. With a fever nobody trains until a whole day has passed without one; then two days as somebody not checked in
 * (60 % of the dose, half effort, no moving up), then two light ones; after a week ill or more, twice as many. Our own round numbers:
 * a doctor's word comes first. It ends when somebody says that it is over, never by the calendar alone.
 */
final readonly class Illness
{
    /** Most effort, 0 to 1, in the first days back and in the light ones. */
    public const FIRST_EFFORT = 0.5;

    public const LIGHT_EFFORT = 0.75;

    private const DAYS_A_STEP = 2;

    private const LONG_DAYS = 7;

    /**
     * @param  Day  $until  the last day it is expected to last
     * @param  Day|null  $endedOn  the last day ill, as somebody said; null: nobody has said that it is over
     *
     * @throws InvalidValue
     */
    public function __construct(public Day $from, public Day $until, public bool $fever, public ?Day $endedOn = null)
    {
        if ($from->isAfter($until)) {
            throw new InvalidValue("It ends on {$until->iso()}, before it begins on {$from->iso()}.");
        }
    }

    /** What it makes of a day; null when it makes nothing of it. */
    public function reasonOn(Day $day): ?Reason
    {
        if ($this->from->isAfter($day)) {
            return null;
        }
        if ($this->endedOn === null || ! $day->isAfter($this->endedOn)) {
            return $this->fever ? new Reason('fever', Word::None) : new Reason('ill', Word::Reduced);
        }
        $back = $day->ordinal - $this->endedOn->ordinal;

        return match (true) {
            ! $this->fever => null,
            $back === 1 => new Reason('after_fever', Word::None),
            $back <= 1 + $this->stepDays() => new Reason('after_fever', Word::Unknown),
            $back <= 1 + 2 * $this->stepDays() => new Reason('after_fever', Word::Reduced),
            default => null,
        };
    }

    /** @return int days that each of the two steps of the way back lasts */
    public function stepDays(): int
    {
        $ill = $this->lastDay()->ordinal - $this->from->ordinal + 1;

        return $ill >= self::LONG_DAYS ? 2 * self::DAYS_A_STEP : self::DAYS_A_STEP;
    }

    /** As somebody said, else as expected. */
    public function lastDay(): Day
    {
        return $this->endedOn ?? $this->until;
    }
}
