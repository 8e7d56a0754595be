<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\InvalidValue;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Surface;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\SessionClock;
use Augendo\Core\Planning\Station;
use Augendo\Core\Planning\StationAthlete;
use Augendo\Core\Planning\StationFlag;
use Augendo\Core\Planning\StationPlan;
use PHPUnit\Framework\TestCase;

final class StationPlanTest extends TestCase
{
    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
    }

    /** Twenty-five children, five stations, three adults, sixty balls. */
    public function test_everybody_is_at_every_station_once_and_nobody_in_two_places(): void
    {
        $plan = StationPlan::make($this->athletes(25), $this->stations(), 90, 3, 60);
        $this->assertCount(5, $plan->stations);
        $this->assertSame([5, 5, 5, 5, 5], array_map(count(...), $plan->groups));
        foreach ($plan->rounds as $round) {
            $this->assertSame([0, 1, 2, 3, 4], $this->sorted($round), 'each group at one station');
        }
        for ($station = 0; $station < 5; $station++) {
            $this->assertSame([0, 1, 2, 3, 4], $this->sorted(array_column($plan->rounds, $station)), 'each station sees each group');
        }
        $ids = array_map(fn (StationAthlete $athlete): string => $athlete->id, array_merge(...$plan->groups));
        $this->assertCount(25, array_unique($ids));
        foreach ($plan->pairs as $i => $pairs) {
            $this->assertSame(
                $this->sorted(array_map(fn (StationAthlete $athlete): string => $athlete->id, $plan->groups[$i])),
                $this->sorted(array_merge(...$pairs)),
            );
            foreach ($pairs as $pair) {
                $this->assertContains(count($pair), [2, 3]);
            }
        }
        $this->assertLessThanOrEqual(90, $plan->startsAt(count($plan->rounds)) + $plan->coolDownMin);
        $this->assertSame($plan->startsAt(1) - $plan->startsAt(0), $plan->rotationMin + 1);
        $long = StationPlan::make($this->athletes(25), $this->stations(), 180, 3, 60);
        $this->assertContains(
            'spare',
            array_map(fn (StationFlag $flag): string => $flag->code, $long->flags),
            'three hours are more than the doses need',
        );
        $this->assertSame(
            $long->rotationMin,
            StationPlan::make($this->athletes(25), $this->stations(), 240, 3, 60)->rotationMin,
            'nobody stands about',
        );
        $this->assertGreaterThanOrEqual(6, $plan->warmUpMin, 'the whole body first');
        $levels = array_map(
            fn (array $group): array => array_map(fn (StationAthlete $athlete): int => $athlete->level, $group),
            $plan->groups,
        );
        $this->assertLessThanOrEqual(min($levels[4]), max($levels[0]), 'alike together');
    }

    public function test_what_does_not_fit_is_closed_in_order_and_said(): void
    {
        $codes = fn (StationPlan $plan): array => array_map(fn (StationFlag $flag): string => $flag->code, $plan->flags);
        $hurry = StationPlan::make($this->athletes(9), $this->stations(), 25, 3, 60);
        $this->assertContains('closed_time', $codes($hurry));
        $this->assertNotContains(
            'target',
            array_map(fn (Station $station): string => $station->id, $hurry->stations),
            'the scored station goes before the whole',
        );
        $this->assertContains('whole', array_map(fn (Station $station): string => $station->id, $hurry->stations));
        $this->assertGreaterThanOrEqual(4, $hurry->rotationMin);

        $alone = StationPlan::make($this->athletes(9), $this->stations(), 90, 1, 60);
        $this->assertSame(1, count(array_filter($alone->stations, fn (Station $station): bool => $station->needsAdult)));
        $this->assertContains('closed_adults', $codes($alone));

        $this->assertContains('too_short', $codes(StationPlan::make($this->athletes(3), $this->stations(), 5, 3, 60)));
        $this->assertSame(['nobody'], $codes(StationPlan::make([], $this->stations(), 60, 3, 60)));
        $this->assertContains('closed_few', $codes(StationPlan::make($this->athletes(2), $this->stations(), 120, 3, 60)));
        $this->assertSame([], StationPlan::make($this->athletes(4), [], 60, 3, 60)->rounds);
    }

    public function test_space_balls_gloves_and_floor_are_checked(): void
    {
        $codes = fn (StationPlan $plan): array => array_values(
            array_diff(array_map(fn (StationFlag $flag): string => $flag->code, $plan->flags), ['spare']),
        );
        $serve = fn (float $length, int $capacity = 12, int $balls = 3): Station => new Station(
            'whole', 'Whole', [BlockKind::Whole], $length, $capacity, false, Surface::Sprung, false, $balls,
        );
        $this->assertSame([], $codes(StationPlan::make($this->athletes(6), [$serve(60)], 60, 1, 30)));
        $this->assertSame(['short_area'], $codes(StationPlan::make($this->athletes(6), [$serve(9)], 60, 1, 30)));
        $this->assertSame(['crowded'], $codes(StationPlan::make($this->athletes(6), [$serve(60, 5)], 60, 1, 30)));
        $plan = StationPlan::make($this->athletes(6), [$serve(60, 12, 6)], 60, 1, 30);
        $this->assertSame([['balls'], 36], [$codes($plan), $plan->ballsNeeded]);
        $this->assertContains('gloves', $codes(StationPlan::make($this->athletes(6, 'javelin-throw', 4), [$serve(200)], 90, 1, 60)));
        $jump = fn (?Surface $surface): Station => new Station(
            'whole', 'Landings', [BlockKind::Whole, BlockKind::Part], 60, 12, false, $surface, false, 0,
        );
        foreach ([[Surface::Sprung, false], [Surface::Hard, true], [null, true]] as [$surface, $flagged]) {
            $this->assertSame(
                $flagged,
                in_array(
                    'hard_floor',
                    $codes(StationPlan::make($this->athletes(4, 'block-jump-landing', 2), [$jump($surface)], 60, 1, 10)),
                    true,
                ),
            );
        }
        $this->expectException(InvalidValue::class);
        $serve(0);
    }

    public function test_who_is_late_warms_up_first_and_joins_the_next_round(): void
    {
        $athletes = $this->athletes(10);
        $late = new StationAthlete('late', 'Late', Handedness::Left, 'volleyball-float-serve', 3, $athletes[0]->blocks, 15);
        $plan = StationPlan::make([...$athletes, $late], $this->stations(), 90, 3, 60);
        $joins = $plan->joinsAt($late);
        $this->assertGreaterThan(0, $joins);
        $this->assertGreaterThanOrEqual(15 + $plan->warmUpMin, $plan->startsAt($joins));
        $this->assertLessThan(15 + $plan->warmUpMin, $plan->startsAt($joins - 1));
        $this->assertSame(0, $plan->joinsAt($athletes[0]));
    }

    public function test_time_adds_up_from_repetitions_holds_and_rests(): void
    {
        $rung = $this->library->ladder('javelin-throw')->rungs[0];
        $hold = BlockPlan::asAsked($rung->blocks[1]);
        // Three sets of six held for three seconds, with thirty seconds between: the hold is no longer than a repetition.
        $this->assertSame(18 * 5 + 2 * 30, SessionClock::blockSeconds($hold));
        $this->assertSame(0, SessionClock::blockSeconds($hold->withReps(0)));
        $this->assertSame(SessionClock::blockSeconds($hold), SessionClock::seconds([$hold]));
        $this->assertSame(
            2 * SessionClock::blockSeconds($hold) + 45,
            SessionClock::seconds([$hold, $hold]),
            'a change-over between two blocks',
        );
    }

    /** Whole plans as they are made now: whoever changes how one is made looks at each, and keeps it. */
    public function test_stations_are_planned_as_they_were(): void
    {
        $late = fn (int $minutes): StationAthlete => new StationAthlete(
            'late', 'Late', Handedness::Left, 'volleyball-float-serve', 3, $this->athletes(1)[0]->blocks, $minutes,
        );
        $throws = $this->athletes(6, 'javelin-throw', 4);
        $jumps = array_map(fn (StationAthlete $each): StationAthlete => new StationAthlete(
            "j{$each->id}", $each->name, $each->hand, $each->ladder, $each->level, $each->blocks,
        ), $this->athletes(5, 'block-jump-landing', 2));
        $small = fn (string $id, array $kinds, float $length, int $capacity): Station => new Station(
            $id, ucfirst($id), $kinds, $length, $capacity, true, Surface::Hard, false, 4,
        );
        $plans = [
            '25 children, 90 min, 3 adults, 60 balls' => StationPlan::make($this->athletes(25), $this->stations(), 90, 3, 60),
            '13 children, 75 min, 1 adult, 30 balls, one late' => StationPlan::make(
                [...$this->athletes(12), $late(20)], $this->stations(), 75, 1, 30,
            ),
            '7 children, 30 min, 2 adults, 8 balls' => StationPlan::make($this->athletes(7), $this->stations(), 30, 2, 8),
            'throwers and jumpers, 60 min, 2 adults, 20 balls' => StationPlan::make(
                [...$throws, ...$jumps],
                [$small('part', [BlockKind::Part, BlockKind::Rehearsal], 20, 4), $small('whole', [BlockKind::Whole], 27, 6)], 60, 2, 20,
            ),
            '3 children, 240 min' => StationPlan::make($this->athletes(3), $this->stations(), 240, 3, 99),
            'one child, 12 min, nobody grown up' => StationPlan::make($this->athletes(1), $this->stations(), 12, 0, 3),
        ];
        $lines = [];
        foreach ($plans as $name => $plan) {
            $lines[] = "# {$name}";
            $lines[] = "warm-up {$plan->warmUpMin}, rotation {$plan->rotationMin}, cool-down {$plan->coolDownMin}";
            $lines[] = "balls {$plan->ballsNeeded}";
            $lines[] = 'stations '.implode(', ', array_map(fn (Station $station): string => $station->id, $plan->stations));
            foreach ($plan->groups as $i => $group) {
                $lines[] = "group {$i}: ".implode(' ', array_map(fn (StationAthlete $each): string => $each->id, $group))
                    .' | '.implode(' ', array_map(fn (array $pair): string => implode('+', $pair), $plan->pairs[$i]));
            }
            foreach ($plan->rounds as $i => $round) {
                $lines[] = "round {$i} at {$plan->startsAt($i)}: ".implode(' ', $round);
            }
            foreach ($plan->flags as $flag) {
                $lines[] = trim("{$flag->code} {$flag->station?->id} {$flag->who} {$flag->there} of {$flag->wanted}");
            }
        }
        KeptText::assertSame(__DIR__.'/plans/stations.txt', $lines);
    }

    public function test_without_anybody_there_is_nothing_to_plan(): void
    {
        $plan = StationPlan::make([], $this->stations(), 60, 2, 10);
        $this->assertSame([0, 0, 0, 0, 60], [
            $plan->warmUpMin, $plan->rotationMin, $plan->coolDownMin, $plan->ballsNeeded, $plan->minutes,
        ]);
        $this->assertSame(['nobody'], array_map(fn (StationFlag $flag): string => $flag->code, $plan->flags));
        $this->assertSame([[], [], []], [$plan->stations, $plan->groups, $plan->rounds]);
    }

    public function test_a_station_needs_an_area_room_and_no_fewer_than_no_balls(): void
    {
        $station = fn (float $length, int $capacity, int $balls): Station => new Station(
            's', 'S', [BlockKind::Whole], $length, $capacity, false, null, false, $balls,
        );
        $this->assertSame(1, $station(0.1, 1, 0)->capacity);
        foreach ([[0.0, 1, 0], [1.0, 0, 0], [1.0, 1, -1]] as $wrong) {
            try {
                $station(...$wrong);
                $this->fail('It was taken.');
            } catch (InvalidValue) {
                $this->addToAssertionCount(1);
            }
        }
    }

    /**
     * @param  list<int|string>  $values
     * @return list<int|string>
     */
    private function sorted(array $values): array
    {
        sort($values);

        return $values;
    }

    /** @return list<StationAthlete> on the rungs from the third up, or all on one */
    private function athletes(int $n, string $ladder = 'volleyball-float-serve', ?int $rung = null): array
    {
        $rungs = $this->library->ladder($ladder)->rungs;

        return array_map(fn (int $i): StationAthlete => new StationAthlete(
            "a{$i}", "Athlete {$i}", $i % 5 === 0 ? Handedness::Left : Handedness::Right, $ladder, $level = $rung ?? 3 + $i % 3,
            array_map(BlockPlan::asAsked(...), $rungs[$level]->blocks),
        ), range(1, $n));
    }

    /** @return list<Station> */
    private function stations(): array
    {
        $station = fn (string $id, BlockKind $kind, bool $adult): Station => new Station(
            $id, ucfirst($id), [$kind], 60, 8, $adult, Surface::Sprung, false, 2,
        );

        return [
            $station('rehearsal', BlockKind::Rehearsal, false), $station('part', BlockKind::Part, false),
            $station('whole', BlockKind::Whole, true),
            $station('target', BlockKind::Target, true), $station('other', BlockKind::OtherSide, false),
        ];
    }
}
