<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;

/**
 * What a season asks for on a day, before any limit is looked at: begun at what the last weeks carried, grown to it, lighter in lighter
 * weeks, and never past what the coach took of what the record suggests.
 */
final readonly class SeasonDoses
{
    private const WEEK_DAYS = 7;

    /** However light the week, less than this share of a heavy day's repetitions is not worth coming for. */
    private const LEAST_OF_A_LIGHT_SESSION = 0.35;

    /** What the four weeks before the season carried. */
    public Carried $carried;

    /** Of every rung's repetitions, up to which the season grows. */
    public float $growsTo;

    /** The rungs as they are asked of the athlete. */
    private Ladder $page;

    /** The same with as many repetitions as the season grows to. */
    private Ladder $grown;

    /** Units of a heavy session at the beginning. */
    public float $heavySession;

    /** @param  list<CostedSet>  $otherPlans  planned beside the season, from the first day on */
    public function __construct(
        private SeasonAsk $ask,
        Ladder $ladder,
        private Standing $standing,
        private SetCost $price,
        LoadRecord $record,
        private array $otherPlans,
    ) {
        $less = $ask->heeded->effortLess;
        $this->page = $ladder->with(['rungs' => array_map(fn (Rung $each): Rung => $each->easier($less), $ladder->rungs)]);
        $rung = $this->asked((int) $ladder->position($standing->rung));
        $this->carried = $this->carriedBefore($ask->from, $rung, $record);
        $session = $this->units($rung);
        $own = $rung->ownDose();
        // What was reached on the rung stays within reach, whatever a lighter week did to the four before.
        $reached = $standing->sessions === 0 || $standing->reached === null
            ? 0.0
            : $standing->reached->reps / max(1, $own->sets * $own->reps);
        $this->growsTo = max($this->carried->growsTo($session), min($standing->shares->most / $standing->shares->asked, $reached));
        $this->grown = $ladder->with(['rungs' => array_map(fn (Rung $each): Rung => $each->scaled($this->growsTo), $this->page->rungs)]);
        $this->heavySession = $session * $this->carried->begins($session)->share;
    }

    /** A rung as the athlete's page has it: idle days are counted by it, whatever the season makes of it. */
    public function asked(int $position): Rung
    {
        return $this->page->rungs[$position];
    }

    /** A rung with as many repetitions as the season grows to. */
    public function grown(int $position): Rung
    {
        return $this->grown->rungs[$position];
    }

    public function channel(): Channel
    {
        return $this->carried->channel;
    }

    public function side(): Side
    {
        return $this->asked((int) $this->page->position($this->standing->rung))->ownDose()->side;
    }

    /**
     * @param  list<CostedSet>  $sets
     * @return float units of the part and the side the season loads most
     */
    public function unitsOf(array $sets): float
    {
        return Carried::units($sets, $this->channel(), $this->side());
    }

    /**
     * @param  Layoff  $layoff  of the rung as it is asked
     * @param  bool  $begins  whether the rung is begun that day
     * @param  Pace|null  $reached  the dose of the heavy day before
     * @param  LoadRecord  $record  up to the day, what is planned before it with it
     */
    public function pace(
        Day $day, int $position, Emphasis $emphasis, Layoff $layoff, bool $begins, ?Pace $reached, LoadRecord $record,
    ): Pace {
        $rung = $this->grown($position);
        $pace = $this->unbounded($day, $position, $emphasis, $layoff, $begins, $reached, $record);
        if ($emphasis === Emphasis::LightWeek) {
            $pace = $this->asLightAsTheWeek($day, $rung, $pace, $reached, $record);
        }

        return $this->asHeeded($rung, $pace);
    }

    /** What was reached on a rung, as heavy as a day is that was planned for another one. */
    public function held(int $position, Emphasis $emphasis, Pace $reached): Pace
    {
        $rung = $this->grown($position);

        return $this->asHeeded($rung, $reached->within($rung->ownDose())->lighter($rung->ownDose(), $emphasis));
    }

    /** What the coach took of what the record suggests holds on every day. */
    private function asHeeded(Rung $rung, Pace $pace): Pace
    {
        $heeded = $this->ask->heeded;
        $reps = min($pace->reps, $heeded->reps ?? $pace->reps);

        return $heeded->units === null ? $pace->withReps($reps) : $this->within($rung, $pace, $heeded->units, 1, $reps);
    }

    private function unbounded(
        Day $day, int $position, Emphasis $emphasis, Layoff $layoff, bool $begins, ?Pace $reached, LoadRecord $record,
    ): Pace {
        $dose = $this->grown($position)->ownDose();
        $longest = $this->price->longestThrowM($dose->skill);
        if ($layoff->isDue($dose->side)) {
            if ($begins || $reached === null) {
                // What idle days take off is taken off the rung as it is asked, once.
                return Pace::next(null, $dose, $emphasis, true, new Beginning(1.0 / $this->growsTo), $longest);
            }
            // After idle days first the share, then what may be raised: nothing goes up on the day that goes down, and a light day
            // stays light.
            $kept = $reached->within($dose, $longest);
            $reps = min($kept->reps, Pace::next($reached, $dose, $emphasis, $begins, new Beginning, $longest)->reps);

            return Pace::at($reps, $kept->effort, $kept->distanceM);
        }
        if (! $begins && $reached !== null) {
            return Pace::next($reached, $dose, $emphasis, false, new Beginning, $longest);
        }
        // What is carried is a share of the rung as it is asked; the dose here is that of the season, which may grow beyond it.
        $asked = $this->asked($position);
        $beginning = $this->carriedBefore($day, $asked, $record)->begins($this->units($asked))->of($this->growsTo);

        $pace = Pace::next($reached, $dose, $emphasis, $begins, $beginning, $longest);

        return $reached === null ? $pace : $this->noMoreThanLately($day, $position, $pace, $reached, $record);
    }

    /** A rung that is begun is the new thing: more repetitions than the day before had only as far as every part knows such a day. */
    private function noMoreThanLately(Day $day, int $position, Pace $pace, Pace $reached, LoadRecord $record): Pace
    {
        $lately = range($day->ordinal - Carried::DAYS, $day->ordinal - 1);
        $rung = $this->grown($position);
        $side = $rung->ownDose()->side;
        foreach ($pace->reps > $reached->reps ? Channel::cases() : [] as $channel) {
            $most = max(array_map(Carried::series($record, $channel, $side)->on(...), $lately));
            $pace = $this->within($rung, $pace, $most, $reached->reps, $pace->reps, $channel);
        }

        return $pace;
    }

    /** A lighter week is measured by the work really done in the week before it, shared out over its sessions. */
    private function asLightAsTheWeek(Day $day, Rung $rung, Pace $pace, ?Pace $reached, LoadRecord $record): Pace
    {
        $worked = Carried::series($record, $this->channel(), $this->side(), $this->ask->together->skills);
        $monday = $this->ask->monday() + self::WEEK_DAYS * $this->ask->week($day->ordinal);
        $week = LightWeek::units($worked, $monday);
        if ($week === null) {
            return $pace;
        }
        $sunday = $monday + self::WEEK_DAYS - 1;
        $isLeft = fn (int $each): bool => $each >= $day->ordinal && $each <= $sunday;
        $sessions = count(array_filter($this->ask->trainingDays(), $isLeft));
        $left = $week - $worked->sum($monday, $day->ordinal - 1) - $this->unitsOf($this->beside($day->ordinal, $sunday));
        $least = max(1, (int) floor(self::LEAST_OF_A_LIGHT_SESSION * ($reached->reps ?? $pace->reps)));

        return $this->within($rung, $pace, $left / max(1, $sessions), $least, $rung->ownDose()->sets * $rung->ownDose()->reps);
    }

    /** The pace with as many repetitions as a session of so many units holds, between the least and the most. */
    private function within(Rung $rung, Pace $pace, float $units, int $least, int $most, ?Channel $channel = null): Pace
    {
        [$fits, $tooMany] = [$least, max($least, $most) + 1];
        while ($tooMany - $fits > 1) {
            $middle = intdiv($fits + $tooMany, 2);
            $this->units($pace->withReps($middle)->on($rung), $channel) <= $units ? $fits = $middle : $tooMany = $middle;
        }

        return $pace->withReps($fits);
    }

    /** What the four weeks before a day carried, and what is planned beside the season in the four after it. */
    private function carriedBefore(Day $on, Rung $rung, LoadRecord $record): Carried
    {
        $last = max($on->ordinal, min($on->ordinal + Carried::DAYS - 1, $this->ask->goalDay->ordinal));
        $isAhead = fn (int $day): bool => $day >= $on->ordinal && $day <= $last;
        $sessions = count(array_filter($this->ask->trainingDays(), $isAhead));

        return Carried::of(
            record: $record,
            from: $on,
            rung: $rung,
            price: $this->price,
            beside: $this->beside($on->ordinal, $on->ordinal + Carried::DAYS - 1),
            sessionsAWeek: max(1, $sessions) / ($last - $on->ordinal + 1) * self::WEEK_DAYS,
            shares: $this->standing->shares,
            apart: $this->ask->together->skills,
        );
    }

    /** @return list<CostedSet> planned beside the season between two days, matches with it; skills planned with it are not beside it */
    private function beside(int $from, int $to): array
    {
        $apart = $this->ask->together->skills;
        $beside = array_values(array_filter(
            $this->otherPlans,
            fn (CostedSet $set): bool => $set->day >= $from && $set->day <= $to && ! in_array($set->skill, $apart, true),
        ));
        foreach ($this->ask->matchesByDay() as $day => $match) {
            $beside = [...$beside, ...($day >= $from && $day <= $to ? $match->sets($this->price) : [])];
        }

        return $beside;
    }

    /** Units of a whole session of a rung, of a part: the one the season loads most, if none is named. */
    private function units(Rung $rung, ?Channel $channel = null): float
    {
        $sets = array_map(
            fn (BlockDose $dose): CostedSet => BlockPlan::asAsked($dose)->cost($this->ask->from, '', $this->price),
            array_filter($rung->blocks, fn (BlockDose $dose): bool => $dose->reps > 0),
        );

        return Carried::units(array_values($sets), $channel ?? $this->channel(), $rung->ownDose()->side);
    }
}
