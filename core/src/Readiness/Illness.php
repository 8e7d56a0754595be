<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;

/**
 * Days ill, and the way back. With a fever nobody trains until a whole day has passed without one; then two days as somebody not checked in
 * (60 % of the dose, half effort, no moving up), then two light ones; after a week ill or more, twice as many. Our own round numbers: a
 * doctor's word comes first. A fever is over when somebody says so, never by the calendar alone; without one, light work until it ends as
 * expected.
 */
final readonly class Illness
{
    /** Most effort, 0 to 1, in the first days back and in the light ones. */
    public const FIRST_EFFORT = 0.5;

    public const LIGHT_EFFORT = 0.75;

    private const DAYS_A_STEP = 2;

    private const LONG_DAYS = 7;

    /** The day without fever, and both steps after a long one: as far back as an illness that is over still counts. */
    public const WAY_BACK_MOST_DAYS = 1 + 2 * 2 * self::DAYS_A_STEP;

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

    /** The same taken to end as it is expected to, not before today: what is planned ahead goes by that. */
    public function asExpected(Day $today): self
    {
        return new self($this->from, $this->until, $this->fever, $this->lastDay($today));
    }

    /** What it makes of a day; null when it makes nothing of it. */
    public function reasonOn(Day $day): ?Reason
    {
        if ($this->from->isAfter($day)) {
            return null;
        }
        if (! $day->isAfter($this->lastDay($day))) {
            return $this->fever ? new Reason('fever', Word::None) : new Reason('ill', Word::Reduced);
        }
        $back = $day->ordinal - $this->lastDay($day)->ordinal;

        return match (true) {
            ! $this->fever => null,
            $back === 1 => new Reason('after_fever', Word::None),
            $back <= 1 + $this->stepDays($day) => new Reason('after_fever', Word::Unknown),
            $back <= 1 + 2 * $this->stepDays($day) => new Reason('after_fever', Word::Reduced),
            default => null,
        };
    }

    /** @return int days that each of the two steps of the way back lasts */
    public function stepDays(Day $today): int
    {
        $ill = $this->lastDay($today)->ordinal - $this->from->ordinal + 1;

        return $ill >= self::LONG_DAYS ? 2 * self::DAYS_A_STEP : self::DAYS_A_STEP;
    }

    /** The last day of it as it is known on a day: as somebody said; else a fever goes on, and the rest ends as expected. */
    public function lastDay(Day $today): Day
    {
        return $this->endedOn ?? ($this->fever ? $this->until->latest($today) : $this->until);
    }

    /**
     * What an answer to “ill today?” makes of a fever that nobody has said is over.
     *
     * @param  Day|null  $since  its first day; null: there is none
     * @param  bool  $opened  whether an answer opened it, so that another answer of the day takes it back
     */
    public static function answered(?Day $since, bool $opened, Day $on, bool $fever): IllAnswer
    {
        return match (true) {
            $fever => $since === null ? IllAnswer::Opens : IllAnswer::ChangesNothing,
            $since === null, $since->isAfter($on) => IllAnswer::ChangesNothing,
            $since->equals($on) => $opened ? IllAnswer::TakesBack : IllAnswer::ChangesNothing,
            default => IllAnswer::Ends,
        };
    }
}
