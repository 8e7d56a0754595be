<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\CopiesItself;
use Augendo\Core\Day;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\Ladder;

/** What a coach asks of a season: from when to when, on which days, up to which rung, around which matches. */
final readonly class SeasonAsk
{
    use CopiesItself;

    private const RUNGS_TO_START_WITH = 2;

    private const DAYS_TO_START_WITH = 84;

    private const WEEKDAYS_TO_START_WITH = [1, 3, 5];

    /** @var list<int> ISO weekdays, 1 Monday to 7 Sunday, in order */
    public array $weekdays;

    /**
     * @param  list<int>  $weekdays  1 Monday to 7 Sunday
     * @param  string|null  $goalRung  of the ladder; null: hold the rung
     * @param  list<MatchEvent>  $matches
     * @param  array<int, int>  $moves  ordinal of the day a session was on → the day it was moved to
     * @param  list<int>  $off  ordinals of days without training
     * @param  int|null  $minutes  a session, when time is short
     * @param  Day|null  $start  the season's first day, when it has begun already: weeks are counted from it, so that a
     *         plan made anew keeps its rhythm
     * @param  Heeded  $heeded  what the coach took of what the record suggests
     * @param  TestsAsked|null  $tests  null: no test days
     * @param  Together  $together  what it keeps to for the sake of the athlete's other skills
     * @param  list<int>  $withSquad  ordinals of days on which the squad trains: training days whatever the weekday, unless taken off
     *
     * @throws InvalidValue
     */
    public function __construct(
        public Day $from,
        public Day $goalDay,
        array $weekdays,
        public ?string $goalRung,
        public array $matches = [],
        public array $moves = [],
        public array $off = [],
        public ?int $minutes = null,
        public ?Day $start = null,
        public array $withSquad = [],
        public Heeded $heeded = new Heeded,
        public Together $together = new Together,
        public ?TestsAsked $tests = null,
    ) {
        foreach ($weekdays as $weekday) {
            if ($weekday < 1 || $weekday > 7) {
                throw new InvalidValue("A weekday of {$weekday} is not one of 1 (Monday) to 7 (Sunday).");
            }
        }
        if ($minutes !== null && $minutes < 1) {
            throw new InvalidValue("A session of {$minutes} minutes cannot be; 1 is the least.");
        }
        $weekdays = array_values(array_unique($weekdays));
        sort($weekdays);
        $this->weekdays = $weekdays;
    }

    /** What is asked before anybody has chosen: two rungs up in twelve weeks, on three days, two apart. */
    public static function toStartWith(Day $from, Ladder $ladder, string $rung): self
    {
        $goal = min(count($ladder->rungs) - 1, (int) $ladder->position($rung) + self::RUNGS_TO_START_WITH);

        return new self($from, $from->plus(self::DAYS_TO_START_WITH), self::WEEKDAYS_TO_START_WITH, $ladder->rungs[$goal]->id);
    }

    public function until(Day $goalDay): self
    {
        return $this->with(['goalDay' => $goalDay]);
    }

    /** @param  list<int>  $weekdays */
    public function onDays(array $weekdays): self
    {
        return $this->with(['weekdays' => $weekdays]);
    }

    /** @return array<int, MatchEvent> those of the season, by ordinal of the day; of several on a day the first holds the rest */
    public function matchesByDay(): array
    {
        $byDay = [];
        foreach ($this->matches as $match) {
            $before = $byDay[$match->day->ordinal] ?? null;
            $byDay[$match->day->ordinal] = $before === null
                ? $match
                : new MatchEvent($before->id, $before->day, "{$before->title}, {$match->title}", [...$before->doses, ...$match->doses]);
        }
        ksort($byDay);

        return $byDay;
    }

    /** @return list<int> ordinals of the days with a session, from the first day to the goal */
    public function trainingDays(): array
    {
        $matches = $this->matchesByDay();
        $days = [];
        for ($day = $this->from->ordinal; $day <= $this->goalDay->ordinal; $day++) {
            $isPlanned = (in_array(self::weekday($day), $this->weekdays, true) || in_array($day, $this->withSquad, true))
                && ! in_array($day, $this->off, true)
                && ! isset($this->moves[$day]);
            if (($isPlanned || in_array($day, $this->moves, true)) && ! isset($matches[$day])) {
                $days[] = $day;
            }
        }

        return $days;
    }

    /** Whether a session of that day may be heavy, as the week is shared out; one that was moved keeps what its own day had. */
    public function mayLead(int $day): bool
    {
        $from = array_search($day, $this->moves, true);
        $leads = $this->together->leads;

        return $leads === null || in_array(Together::dayOfFortnight($from === false ? $day : $from), $leads, true);
    }

    /** Of the week the season starts in. */
    public function monday(): int
    {
        $start = ($this->start ?? $this->from)->ordinal;

        return $start - (self::weekday($start) - 1);
    }

    /** @return int calendar weeks since that of the season's first day, from 0 */
    public function week(int $day): int
    {
        return intdiv($day - $this->monday(), 7);
    }

    /** 1 Monday to 7 Sunday; 1970-01-01 was a Thursday. */
    public static function weekday(int $day): int
    {
        return (($day + 3) % 7 + 7) % 7 + 1;
    }
}
