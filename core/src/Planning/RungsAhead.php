<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;

/** When the rungs up to a goal are begun at the rate an athlete learns. */
final readonly class RungsAhead
{
    /** How far beyond the goal day a rung is looked for. */
    public const LOOK_BEYOND_DAYS = 182;

    /**
     * @param  int  $from  position of the rung the athlete stands on
     * @param  int  $goal  position of the goal's rung
     * @param  Rhythm  $rhythm  of the season, as it is before its first day
     */
    public function __construct(
        private SeasonAsk $ask,
        private SeasonDoses $doses,
        private Standing $standing,
        private LearningRate $rate,
        private int $from,
        private int $goal,
        private Rhythm $rhythm,
    ) {}

    /** Sessions a rung takes at a rate; whoever has stood on one for longer needs half of that once more. */
    public function sessions(int $position, ?float $multiple = null): int
    {
        $multiple ??= $this->rate->likely;
        $rung = $this->doses->grown($position);
        $own = $rung->ownDose();
        $sessions = LearningRate::sessions($rung->gate, $multiple, $own->sets * $own->reps);
        $stood = $position === $this->from ? $this->standing->sessions : 0;

        return $stood >= $sessions ? $stood + max(1, (int) round($rung->gate->minSessions * $multiple / 2)) : $sessions;
    }

    /**
     * @param  array<string, Day>  $simulated  the day each rung is begun when every day is simulated, by id
     * @param  Day  $from  the first day, or the one a way back ends on
     * @return list<ExpectedRung> in order
     */
    public function expected(array $simulated, Day $from): array
    {
        $early = $this->counted($this->rate->early, $from);
        $middle = $this->counted($this->rate->likely, $from);
        $late = $this->counted($this->rate->late, $from);
        $expected = [];
        for ($at = $this->from + 1; $at <= $this->goal; $at++) {
            $rung = $this->doses->grown($at)->id;
            $likely = $simulated[$rung] ?? null;
            // What the simulation took longer than the count, for the dose to grow or a limit to make room, it takes at any rate.
            $longer = $likely === null || ! isset($middle[$rung]) ? 0 : max(0, $likely->daysSince($middle[$rung]));
            $soon = isset($early[$rung]) ? $early[$rung]->plus($longer) : null;
            $expected[] = new ExpectedRung(
                rung: $rung,
                early: $likely === null || $soon === null || ! $soon->isAfter($likely) ? $soon : $likely,
                likely: $likely,
                late: $likely === null || ! isset($late[$rung]) ? null : $late[$rung]->plus($longer)->latest($likely),
            );
        }

        return $expected;
    }

    /**
     * When each rung is begun where every session has its own dose: the sessions are counted, not simulated.
     *
     * @return array<string, Day> by id of the rung, up to half a year beyond the goal
     */
    private function counted(float $multiple, Day $from): array
    {
        $rhythm = clone $this->rhythm;
        $matches = $this->ask->matchesByDay();
        $beyond = $this->ask->until($this->ask->goalDay->plus(self::LOOK_BEYOND_DAYS));
        $training = array_flip($beyond->trainingDays());
        [$position, $onRung, $begun] = [$this->from, $this->standing->sessions, []];
        for ($day = $from->ordinal; $day <= $beyond->goalDay->ordinal && $position < $this->goal; $day++) {
            if (isset($matches[$day])) {
                $rhythm->match($day);
            }
            if (! isset($training[$day])) {
                continue;
            }
            $emphasis = $rhythm->of($day);
            if ($emphasis === Emphasis::Heavy && $onRung >= $this->sessions($position, $multiple)) {
                $position++;
                $onRung = 0;
                $begun[$this->doses->grown($position)->id] = Day::fromOrdinal($day);
            }
            $onRung++;
            $rhythm->planned($day, $emphasis);
        }

        return $begun;
    }
}
