<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/**
 * The rounds that place most work. Minute by minute the best ways to have come so far are kept, and each goes on with a round of every
 * length
 * that somebody's next work fills: a longer one saves change-overs and holds several pieces, a shorter one leaves nobody waiting.
 */
final readonly class RoundSearch
{
    /** How many ways are kept for each minute: with 16 instead of 2 half a per cent more is placed, in ten times the time. */
    private const KEPT = 2;

    /** Whether those with much left go first: sometimes it pays, sometimes not. */
    private const LEANS = [0.0, 0.3];

    public static function best(Hour $hour, RoundFill $fill): Schedule
    {
        $end = $hour->minutes - $hour->coolDownMin;
        $best = Schedule::begins(count($hour->attendees));
        $ways = [$hour->warmUpMin => [$best]];
        for ($start = $hour->warmUpMin; $start < $end; $start++) {
            foreach (self::bestOf($ways[$start] ?? []) as $way) {
                foreach ($fill->lengths($way->at, $end - $start) as $minutes) {
                    foreach (self::LEANS as $lean) {
                        $filling = $fill->fill($way->at, $start, $minutes, $lean);
                        if ($filling->seconds === 0) {
                            continue;
                        }
                        $next = $way->goesOn($start, $minutes, $filling, $fill->worth($way->at, $filling->at));
                        $best = $next->isBetterThan($best) ? $next : $best;
                        $ways[$start + $minutes + $hour->changeOverMin][] = $next;
                    }
                }
                if ($fill->waitsForSomebody($way->at, $start)) {
                    $ways[$start + 1][] = $way;
                }
            }
            unset($ways[$start]);
        }

        return $best;
    }

    /**
     * @param  list<Schedule>  $ways
     * @return list<Schedule> those that are worth most, no two alike
     */
    private static function bestOf(array $ways): array
    {
        usort($ways, fn (Schedule $a, Schedule $b): int => [$b->worth, count($a->rounds)] <=> [$a->worth, count($b->rounds)]);
        $kept = [];
        foreach ($ways as $way) {
            $kept[implode(' ', $way->at)] ??= $way;
            if (count($kept) === self::KEPT) {
                break;
            }
        }

        return array_values($kept);
    }
}
