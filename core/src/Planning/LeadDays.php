<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/**
 * Which skill may be heavy on which day: every training day leads one skill, so that two are never heavy together. Where a week does not
 * hold a heavy day for each, two take turns on one weekday. Ways of sharing the days out are told apart by the heavy days they leave each
 * skill, before any of them is simulated.
 */
final class LeadDays
{
    /** Weeks a way is looked at: heavy days three apart fall on other weekdays from week to week. */
    private const WEEKS = 4;

    private const WEEK_DAYS = 7;

    /** So many ways are gone on with from one weekday to the next: four skills on seven days have 16,384, with turns far more. */
    public const KEPT = 120;

    /**
     * @param  non-empty-list<list<int>>  $weekdays  ISO weekdays each skill trains on, in the coach's order
     * @param  list<list<bool>>  $shares  whether a heavy day of one skill is one for the other
     * @param  int  $kept  ways that are gone on with from one weekday to the next, the most promising ones
     * @return list<non-empty-list<list<int>>> days of a fortnight each skill leads, see Together, the most promising way first; none when a
     *         skill would be left without a day
     */
    public static function ranked(array $weekdays, array $shares, Sharing $sharing, int $kept = self::KEPT): array
    {
        $of = fn (?int $turns): array => self::ways($weekdays, $turns, $shares, $sharing, $kept);
        $weekly = self::distinct($of(null), $shares, $sharing);
        $isEnough = $weekly !== [] && $weekly[0][1][0] >= self::WEEKS;
        $turns = $isEnough ? [] : array_map($of, array_values(array_unique(array_merge(...$weekdays))));
        $ways = $isEnough ? $weekly : self::distinct(array_merge([], ...$turns), $shares, $sharing);

        return array_map(fn (array $way): array => array_map(self::inOrder(...), $way[0]), $ways);
    }

    /**
     * @param  list<int>  $days
     * @return list<int>
     */
    private static function inOrder(array $days): array
    {
        sort($days);

        return $days;
    }

    /**
     * @param  list<non-empty-list<list<int>>>  $ways
     * @param  list<list<bool>>  $shares
     * @return list<array{non-empty-list<list<int>>, list<int>}> with what they are worth, the best first
     */
    private static function distinct(array $ways, array $shares, Sharing $sharing): array
    {
        $distinct = [];
        foreach ($ways as $leads) {
            $heavy = self::heavyDays($leads, $shares);
            // Ways that make the same days heavy are one way; the one that names fewer days says it best.
            $key = json_encode($heavy, JSON_THROW_ON_ERROR);
            $days = array_sum(array_map(count(...), $leads));
            if (! isset($distinct[$key]) || $days < $distinct[$key][2]) {
                $distinct[$key] = [$leads, self::worth($heavy, $shares, $sharing), $days];
            }
        }
        usort($distinct, fn (array $a, array $b): int => $b[1] <=> $a[1] ?: $a[0] <=> $b[0]);

        return array_map(fn (array $way): array => [$way[0], $way[1]], $distinct);
    }

    /**
     * @param  non-empty-list<list<int>>  $weekdays
     * @param  int|null  $turns  the weekday on which two skills take turns; null: none
     * @param  list<list<bool>>  $shares
     * @return list<non-empty-list<list<int>>>
     */
    private static function ways(array $weekdays, ?int $turns, array $shares, Sharing $sharing, int $kept): array
    {
        $ways = [array_fill(0, count($weekdays), [])];
        $days = array_unique(array_merge(...$weekdays));
        sort($days);
        foreach ($days as $day) {
            $trains = array_keys(array_filter($weekdays, fn (array $of): bool => in_array($day, $of, true)));
            $more = [];
            foreach ($ways as $leads) {
                foreach ($trains as $first) {
                    foreach ($day === $turns ? $trains : [$first] as $second) {
                        $with = $leads;
                        $with[$first][] = $day;
                        $with[$second][] = $day + self::WEEK_DAYS;
                        $more[] = $with;
                    }
                }
            }
            $ways = count($more) <= $kept
                ? $more
                : array_slice(array_map(fn (array $way): array => $way[0], self::distinct($more, $shares, $sharing)), 0, $kept);
        }

        return array_values(array_filter($ways, fn (array $leads): bool => ! in_array([], $leads, true)));
    }

    /**
     * As the planner will place them: what comes first in the order first, everything else the rest of the part away from it.
     *
     * @param  non-empty-list<list<int>>  $leads
     * @param  list<list<bool>>  $shares
     * @return non-empty-list<list<int>> days from 0
     */
    private static function heavyDays(array $leads, array $shares): array
    {
        $heavy = [];
        foreach ($leads as $skill => $days) {
            $heavy[$skill] = [];
            for ($day = 0; $day < self::WEEKS * self::WEEK_DAYS; $day++) {
                if (! in_array($day % (2 * self::WEEK_DAYS) + 1, $days, true)) {
                    continue;
                }
                $near = false;
                foreach ($heavy as $other => $taken) {
                    foreach ($shares[$skill][$other] ? $taken : [] as $each) {
                        $near = $near || abs($day - $each) < Rhythm::HEAVY_APART_DAYS;
                    }
                }
                if (! $near) {
                    $heavy[$skill][] = $day;
                }
            }
        }

        return array_values($heavy);
    }

    /**
     * A heavy day a week for every skill comes before a second one for any; then the days of different parts lie apart.
     *
     * @param  non-empty-list<list<int>>  $heavy
     * @param  list<list<bool>>  $shares
     * @return list<int>
     */
    private static function worth(array $heavy, array $shares, Sharing $sharing): array
    {
        $counts = array_map(count(...), $heavy);
        $each = min(self::WEEKS, min($counts));
        $next = 0;
        foreach ($heavy as $a => $days) {
            foreach ($heavy as $b => $others) {
                foreach ($a < $b ? $days : [] as $day) {
                    $next += count(array_filter($others, fn (int $other): bool => abs($other - $day) === 1));
                }
            }
        }

        return $sharing === Sharing::InOrder ? [$each, ...$counts, -$next] : [$each, min($counts), array_sum($counts), -$next];
    }
}
