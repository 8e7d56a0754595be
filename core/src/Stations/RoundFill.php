<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/**
 * Who works where in a round of a given length. Each athlete can only go on with the skill of their next piece, and takes as many
 * pieces of it as
 * the round holds; spaces are given to skills one after the other, each time the pair that places most seconds. In the end nobody is left
 * without work that could have joined.
 */
final class RoundFill
{
    /** How much less the last second of somebody's work counts than the first: it costs half a per cent of the work placed. */
    private const FAIRNESS = 0.4;

    /** @var array<int, list<int>> by athlete: positions of the work that can have a place at all */
    private array $todo = [];

    /** @var array<int, array<int, list<Take>>> by athlete and next piece: what can be taken at once, the least first */
    private array $takes = [];

    /** @var array<int, array<int, int>> by athlete and next piece: its skill */
    private array $skills = [];

    /** @var array<int, array<int, int>> by athlete and next piece: seconds that are left with it */
    private array $secondsLeft = [];

    /** @var array<int, int> half lanes by space */
    private array $halfLanes = [];

    /** @var array<string, int> by id of the skill */
    private array $skillNumbers = [];

    public function __construct(private readonly Hour $hour)
    {
        foreach ($hour->spaces as $s => $space) {
            $this->halfLanes[$s] = 2 * $space->lanes;
        }
        foreach ($hour->attendees as $i => $attendee) {
            $can = array_filter($attendee->work, fn (Piece $piece): bool => $hour->whyNever($piece) === null);
            $this->todo[$i] = array_keys($can);
            $this->prepare($i, array_values($can));
        }
    }

    /** @return list<int> positions, in the athlete's own work, of what can have a place */
    public function todo(int $athlete): array
    {
        return $this->todo[$athlete];
    }

    public function skillOf(int $number): string
    {
        return (string) array_search($number, $this->skillNumbers, true);
    }

    /**
     * @param  array<int, int>  $at  how far each one is
     * @param  int  $most  minutes that are left
     * @return list<int> minutes that somebody's next work fills, no two alike
     */
    public function lengths(array $at, int $most): array
    {
        $lengths = [];
        foreach ($at as $i => $next) {
            foreach ($this->takes[$i][$next] ?? [] as $take) {
                $minutes = max($this->hour->leastRoundMin, intdiv($take->seconds + 59, 60));
                if ($minutes > $most) {
                    break;
                }
                $lengths[$minutes] = true;
            }
        }

        return array_keys($lengths);
    }

    /**
     * Whether somebody with work left is not there yet.
     *
     * @param  array<int, int>  $at
     */
    public function waitsForSomebody(array $at, int $startMin): bool
    {
        foreach ($this->hour->attendees as $i => $attendee) {
            if ($attendee->fromMin > $startMin && isset($this->takes[$i][$at[$i]])) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<int, int>  $at  how far each one is
     * @param  float  $lean  how much the seconds somebody has left count beside those of the round
     */
    public function fill(array $at, int $startMin, int $minutes, float $lean): Filling
    {
        $waiting = $this->waiting($at, $startMin, 60 * $minutes, $lean);
        $filling = new Filling($at, $this->halfLanes, $this->hour->balls, $this->hour->adults);
        while ($filling->free() !== [] && $waiting !== []) {
            $best = null;
            foreach ($filling->free() as $space => $_) {
                foreach ($waiting as $skill => $those) {
                    [$seconds, $who] = $filling->wouldPlace($space, $those);
                    if ($seconds > ($best[0] ?? 0)) {
                        $best = [$seconds, $who, $space, $skill];
                    }
                }
            }
            if ($best === null) {
                break;
            }
            [, $who, $space, $skill] = $best;
            $filling->open($space, $skill);
            foreach ($who as $i) {
                $filling->put($i, $waiting[$skill][$i][1], $space);
                unset($waiting[$skill][$i]);
            }
            if ($waiting[$skill] === []) {
                unset($waiting[$skill]);
            }
        }
        $this->shorter($filling, $waiting, 60 * $minutes);

        return $filling;
    }

    /**
     * What a round is worth: its seconds, those of somebody who has had little counting more.
     *
     * @param  array<int, int>  $before  how far each one was
     * @param  array<int, int>  $after  how far each one is
     */
    public function worth(array $before, array $after): float
    {
        $worth = 0.0;
        foreach ($after as $i => $to) {
            if ($to === $before[$i]) {
                continue;
            }
            $all = $this->secondsLeft[$i][0];
            $from = $all - $this->secondsLeft[$i][$before[$i]];
            $until = $all - ($this->secondsLeft[$i][$to] ?? 0);
            $worth += ($until - $from) * (1.0 - self::FAIRNESS * ($from + $until) / (2 * $all));
        }

        return $worth;
    }

    /**
     * Who has work that the round holds, each with the most of it; those first who place most for what they need of lanes and balls.
     *
     * @param  array<int, int>  $at
     * @return array<int, non-empty-array<int, array{float, Take}>> by skill and athlete
     */
    private function waiting(array $at, int $startMin, int $seconds, float $lean): array
    {
        $lanes = max(1, array_sum($this->halfLanes));
        $waiting = [];
        foreach ($at as $i => $next) {
            $most = null;
            foreach ($this->takes[$i][$next] ?? [] as $take) {
                if ($take->seconds > $seconds) {
                    break;
                }
                $most = $take;
            }
            if ($most === null || $this->hour->attendees[$i]->fromMin > $startMin) {
                continue;
            }
            $needs = $most->halfLanes / $lanes + ($most->balls === 0 ? 0.0 : $most->balls / $this->hour->balls);
            $waiting[$this->skills[$i][$next]][$i] = [($most->seconds + $lean * $this->secondsLeft[$i][$next]) / $needs, $most];
        }
        foreach ($waiting as $skill => $those) {
            uasort($those, fn (array $a, array $b): int => $b[0] <=> $a[0]);
            $waiting[$skill] = $those;
        }

        return $waiting;
    }

    /**
     * Less than the most may still find room beside the others.
     *
     * @param  array<int, array<int, array{float, Take}>>  $waiting
     */
    private function shorter(Filling $filling, array $waiting, int $seconds): void
    {
        foreach ($waiting as $skill => $those) {
            foreach ($those as $i => $_) {
                foreach (array_reverse($this->takes[$i][$filling->at[$i]]) as $take) {
                    if ($take->seconds <= $seconds && $filling->joins($i, $skill, $take)) {
                        break;
                    }
                }
            }
        }
    }

    /** @param  list<Piece>  $work  that can have a place */
    private function prepare(int $i, array $work): void
    {
        $left = array_sum(array_map(fn (Piece $piece): int => $piece->seconds, $work));
        foreach ($work as $from => $piece) {
            $this->skills[$i][$from] = $this->skillNumbers[$piece->skill] ??= count($this->skillNumbers);
            $this->secondsLeft[$i][$from] = $left;
            $this->takes[$i][$from] = $this->takesFrom(array_slice($work, $from));
            $left -= $piece->seconds;
        }
    }

    /**
     * @param  list<Piece>  $work
     * @return list<Take> the first piece, the first two, and so on, as long as the skill is the same and one space holds them
     */
    private function takesFrom(array $work): array
    {
        $takes = [];
        [$seconds, $halfLanes, $balls, $adult, $spaces] = [0, 0, 0, false, ~0];
        foreach ($work as $k => $piece) {
            $spaces &= $this->spacesFor($piece);
            if ($piece->skill !== $work[0]->skill || $spaces === 0) {
                break;
            }
            $seconds += $piece->seconds;
            $halfLanes = max($halfLanes, $piece->halfLanes());
            $balls = max($balls, $piece->balls);
            $adult = $adult || $piece->needsAdult;
            $takes[] = new Take($k + 1, $seconds, $halfLanes, $balls, $adult, $spaces);
        }

        return $takes;
    }

    private function spacesFor(Piece $piece): int
    {
        $bits = 0;
        foreach ($this->hour->spaces as $s => $space) {
            $bits |= $this->hour->holds($space, $piece) ? 1 << $s : 0;
        }

        return $bits;
    }
}
