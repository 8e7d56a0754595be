<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Planning\LightWeek;
use Augendo\Core\Planning\Rhythm;
use Augendo\Core\Planning\SeasonAsk;
use PHPUnit\Framework\TestCase;

/**
 * How heavy the days of a season are, drawn: H heavy, l light, w lighter week, t the last days before the goal, m around a match,
 * b the day before it.
 */
final class RhythmTest extends TestCase
{
    private const MONDAY = '2027-03-15';

    private const DRAWN = [
        'heavy' => 'H', 'light' => 'l', 'light_week' => 'w', 'taper' => 't', 'around_match' => 'm', 'before_match' => 'b',
    ];

    public function test_heavy_days_lie_three_days_apart_whatever_week_they_fall_in(): void
    {
        $this->assertDrawn('H.l.H..', 'H.l.H..', [1, 3, 5]);
        $this->assertDrawn('.Hl.H..', '.Hl.H..', [2, 3, 5]);
        $this->assertDrawn('H..H..H', '.l.H..H', [1, 4, 7], [2, 4, 7]);
        $this->assertDrawn('Hl.H.l.', 'Hl.H.l.', [1, 2, 4, 6]);
        $this->assertDrawn('.H..H..', '.H..H..', [2, 5]);
        $this->assertDrawn('HllHllH', 'llHllHl', [1, 2, 3, 4, 5, 6, 7]);
    }

    public function test_a_heavy_day_of_the_record_counts_and_a_season_begun_in_the_middle_of_a_week_goes_on(): void
    {
        $this->assertDrawn('l.H.l..', 'H.l.H..', [1, 3, 5], lastHeavy: -1);
        $this->assertDrawn('l.H.l..', 'H.l.H..', [1, 3, 5], lastHeavy: -2);
        $this->assertDrawn('H.l.H..', 'H.l.H..', [1, 3, 5], lastHeavy: -3);
    }

    public function test_a_match_is_met_fresh_by_what_it_costs(): void
    {
        $every = [1, 2, 3, 4, 5, 6, 7];
        $this->assertDrawn('HlmmbXm', 'lHllHll', $every, matches: [5 => 1.0]);
        $this->assertDrawn('HllHbXm', 'HllHllH', $every, matches: [5 => 0.5]);
        $this->assertDrawn('HllHbXH', 'llHllHl', $every, matches: [5 => 0.1]);
        $rhythm = $this->rhythm($every, matches: [5 => 1.0]);
        $this->assertSame(
            [1 => null, 2 => 5, 4 => 5, 5 => null, 6 => 5, 7 => null],
            array_map(
                fn (int $day): ?int => ($match = $rhythm->protects($this->ordinal($day))) === null ? null : $match - $this->ordinal(0),
                [1 => 1, 2 => 2, 4 => 4, 5 => 5, 6 => 6, 7 => 7],
            ),
        );
    }

    public function test_matches_every_week_leave_a_heavy_day_all_the_same(): void
    {
        $drawn = $this->drawn([2, 4], 34, matches: array_fill_keys([6, 13, 20, 27], 1.2));
        $this->assertGreaterThanOrEqual(2, substr_count($drawn, 'H'), $drawn);
        foreach ([6, 13, 20, 27] as $match) {
            $this->assertNotSame('H', $drawn[$match - 1] ?? '');
            $this->assertNotSame('H', $drawn[$match + 1] ?? '');
        }
    }

    public function test_every_fourth_week_at_the_latest_is_lighter_and_none_stands_at_the_end(): void
    {
        $light = fn (int $weeks, bool $goal): array => $this->rhythm([1, 4], 7 * $weeks - 1, $goal)->lightWeeks;
        $upToEight = array_map(fn (int $weeks): array => $light($weeks, false), range(1, 8));
        $this->assertSame([[], [], [], [2], [2], [3], [3], [2, 5]], $upToEight);
        $this->assertSame([3, 7], $light(12, true));
        for ($weeks = 1; $weeks <= 40; $weeks++) {
            foreach ([true, false] as $goal) {
                $at = [-1, ...$light($weeks, $goal), $goal && $weeks > 3 ? $weeks - 1 : $weeks];
                foreach (array_slice($at, 1) as $i => $week) {
                    $this->assertLessThanOrEqual(4, $week - $at[$i], "{$weeks} weeks: at most three heavier ones in a row");
                    $apart = $week - $at[$i] + ($week === $weeks || $goal ? 1 : 0);
                    $this->assertGreaterThan(1, $apart, "{$weeks} weeks: never two light in a row");
                }
            }
        }
    }

    public function test_the_last_ten_days_are_for_the_goal_and_a_short_season_is_not_all_of_that(): void
    {
        $from = fn (int $days, bool $goal = true): ?int => $this->rhythm([1], $days - 1, $goal)->taperFrom;
        $this->assertSame($this->ordinal(74), $from(84));
        $this->assertSame($this->ordinal(21), $from(28));
        $this->assertSame($this->ordinal(9), $from(11));
        $this->assertNull($from(3));
        $this->assertNull($from(84, false), 'nothing to be fresh for');
        $this->assertSame('ttt', substr(str_replace('.', '', $this->drawn([1, 3, 5], 84, goal: true)), -3));
    }

    public function test_a_lighter_week_costs_three_quarters_of_the_work_done_in_the_week_before(): void
    {
        $series = new DailySeries([10 => 40.0, 12 => 40.0, 17 => 20.0], 0);
        $this->assertSame(15.0, LightWeek::units($series, 21));
        $this->assertSame(60.0, LightWeek::units($series, 14));
        $this->assertSame(0.75 * 100.0 / 4, LightWeek::units($series, 28), 'after a week off the mean of four');
        $this->assertNull(LightWeek::units($series, 60));
    }

    /**
     * @param  list<int>  $weekdays
     * @param  list<int>|null  $second  weekdays of the second week, where they are others
     * @param  array<int, float>  $matches  by day from 0
     */
    private function assertDrawn(
        string $first, string $next, array $weekdays, ?array $second = null, int $days = 14, array $matches = [], ?int $lastHeavy = null,
    ): void {
        $drawn = $this->drawn($weekdays, $days, $matches, $lastHeavy, $second);
        $this->assertSame(substr($first.$next, 0, $days), $drawn);
    }

    /**
     * @param  list<int>  $weekdays
     * @param  array<int, float>  $matches
     * @param  list<int>|null  $second
     */
    private function drawn(
        array $weekdays, int $days, array $matches = [], ?int $lastHeavy = null, ?array $second = null, bool $goal = false,
    ): string {
        $rhythm = $this->rhythm($weekdays, max(20, $days - 1), $goal, $matches, $lastHeavy);
        $drawn = '';
        for ($day = 0; $day < $days; $day++) {
            $on = $this->ordinal($day);
            if (isset($matches[$day])) {
                $rhythm->match($on);
                $drawn .= 'X';

                continue;
            }
            if (! in_array(SeasonAsk::weekday($on), $day >= 7 && $second !== null ? $second : $weekdays, true)) {
                $drawn .= '.';

                continue;
            }
            $emphasis = $rhythm->of($on);
            $rhythm->planned($on, $emphasis);
            $drawn .= self::DRAWN[$emphasis->value];
        }

        return $drawn;
    }

    /**
     * @param  list<int>  $weekdays
     * @param  array<int, float>  $matches
     */
    private function rhythm(array $weekdays, int $lastDay = 20, bool $goal = false, array $matches = [], ?int $lastHeavy = null): Rhythm
    {
        $monday = Day::of(self::MONDAY);
        $byOrdinal = [];
        foreach ($matches as $day => $cost) {
            $byOrdinal[$this->ordinal($day)] = $cost;
        }

        return new Rhythm(
            new SeasonAsk($monday, $monday->plus($lastDay), $weekdays, $goal ? 'some-rung' : null),
            $byOrdinal,
            $lastHeavy === null ? null : $this->ordinal($lastHeavy),
        );
    }

    private function ordinal(int $day): int
    {
        return Day::of(self::MONDAY)->ordinal + $day;
    }
}
