<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

use Augendo\Core\Library\Drill;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\SessionClock;

/**
 * The minutes in which somebody has no work of their own, filled with drills that cost no limit, in the time the round has left: again
 * only when each was done. Nothing is thrown or landed because there is time, and whoever helps helps.
 */
final readonly class BetweenTurns
{
    /** @param  list<array<string, non-empty-list<Drill>>>  $rounds  by round of the plan, and by athlete */
    private function __construct(private StationPlan $plan, public array $rounds) {}

    /** @param  array<string, list<Drill>>  $drills  by athlete: what today allows them, in the order in which it is to be thought of */
    public static function of(StationPlan $plan, array $drills): self
    {
        $rounds = $times = [];
        foreach ($plan->rounds as $round) {
            $filled = [];
            foreach ($plan->hour->attendees as $attendee) {
                $free = self::freeSeconds($plan, $round, $attendee);
                while (($drill = self::next($drills[$attendee->id] ?? [], $times[$attendee->id] ?? [], $free)) !== null) {
                    $free -= self::seconds($drill);
                    $filled[$attendee->id][] = $drill;
                    $times[$attendee->id][$drill->id] = ($times[$attendee->id][$drill->id] ?? 0) + 1;
                }
            }
            $rounds[] = $filled;
        }

        return new self($plan, $rounds);
    }

    /**
     * The drill that was done least often so far, and of those the one that fills most of the time.
     *
     * @param  list<Drill>  $drills
     * @param  array<string, int>  $times  each was done so far, by id
     */
    private static function next(array $drills, array $times, int $seconds): ?Drill
    {
        $fit = array_values(array_filter($drills, fn (Drill $drill): bool => self::seconds($drill) <= $seconds));
        $rank = fn (Drill $drill): array => [$times[$drill->id] ?? 0, -self::seconds($drill)];
        usort($fit, fn (Drill $a, Drill $b): int => $rank($a) <=> $rank($b));

        return $fit[0] ?? null;
    }

    /** @return array<string, float> by id: own work and drills as a share of the time from the first round to the end of the last */
    public function usefulShare(): array
    {
        $share = $this->plan->usefulShare();
        foreach ($this->rounds as $filled) {
            foreach ($filled as $id => $drills) {
                $share[$id] += $this->plan->shareOf(array_sum(array_map(self::seconds(...), $drills)));
            }
        }

        return $share;
    }

    /** @return float the useful share of whoever has least of it, of all who have work of their own; 1 when nobody has */
    public function leastShare(): float
    {
        return $this->plan->leastOf($this->usefulShare());
    }

    /** @return list<StationFlag> those of the plan, with what the drills change of it */
    public function flags(): array
    {
        $least = $this->leastShare();
        $flags = [];
        foreach ($this->plan->flags as $flag) {
            if ($flag->code !== 'little') {
                $flags[] = $flag;
            } elseif ($least < StationPlan::USEFUL_SHARE) {
                $flags[] = new StationFlag('little', wanted: StationPlan::USEFUL_SHARE, there: $least);
            }
        }

        return $flags;
    }

    /** @return int seconds of the round without work or help; 0 before somebody late has warmed up */
    private static function freeSeconds(StationPlan $plan, Round $round, Attendee $attendee): int
    {
        if ($attendee->fromMin > $round->startMin) {
            return 0;
        }
        $own = 0;
        foreach ($round->places as $place) {
            foreach ($place->placed as $placed) {
                if ($placed->id === $attendee->id && $placed->task !== Task::Works) {
                    return 0;
                }
                foreach ($placed->id === $attendee->id ? $placed->work : [] as $j) {
                    $own += $attendee->work[$j]->seconds;
                }
            }
        }

        return 60 * $round->minutes - $own;
    }

    private static function seconds(Drill $drill): int
    {
        return SessionClock::blockSeconds(BlockPlan::asAsked($drill->dose));
    }
}
