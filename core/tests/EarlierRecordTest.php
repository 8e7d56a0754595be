<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Load\CarriedWork;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\EarlierRecord;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\Side;
use PHPUnit\Framework\TestCase;

/** A record whose earlier part is carried answers as the whole one does, whatever is asked. */
final class EarlierRecordTest extends TestCase
{
    private const DAYS = 200;

    private const CARRIED_DAYS = 150;

    private int $fetched = 0;

    public function test_a_carried_record_answers_as_the_whole_one(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $sets = $this->sets($seed);
            $through = $this->first()->plus(self::CARRIED_DAYS);
            $firstDay = min(array_map(fn (CostedSet $set): int => $set->day, $sets));
            $whole = new LoadRecord($sets);
            $carried = $this->carried($sets, $through, $firstDay, $seed);
            foreach ($this->filters() as $key => $fits) {
                foreach ([Measure::Arm, Measure::Landings] as $measure) {
                    [$a, $b] = [$whole->series($measure, $key, $fits), $carried->series($measure, $key, $fits)];
                    foreach ([0, 3, 40] as $later) {
                        $on = $through->ordinal + $later;
                        $this->assertEqualsWithDelta($a->weightedAverages($on), $b->weightedAverages($on), 1e-9);
                        foreach ([1, 7, 35, 190] as $window) {
                            $this->assertEqualsWithDelta($a->sum($on - $window + 1, $on), $b->sum($on - $window + 1, $on), 1e-9);
                        }
                    }
                    $this->assertEqualsWithDelta(
                        $a->with($through->ordinal - 20, 9.0)->weightedAverages($through->ordinal + 9),
                        $b->with($through->ordinal - 20, 9.0)->weightedAverages($through->ordinal + 9),
                        1e-9,
                    );
                    $early = $through->ordinal - 30;
                    $this->assertEqualsWithDelta($a->weightedAverages($early), $b->weightedAverages($early), 1e-9);
                }
            }
            foreach ([null, Side::Dominant, Side::Other] as $side) {
                foreach ([0.5, 6.0, 60.0] as $atLeast) {
                    foreach ([1, 45] as $later) {
                        $on = $through->plus($later);
                        $this->assertSame(
                            $whole->idleDays($on, Channel::Arm, $side, $atLeast, false),
                            $carried->idleDays($on, Channel::Arm, $side, $atLeast, false),
                        );
                        foreach ([1, 15, 90] as $days) {
                            $this->assertSame(
                                ($whole->idleDays($on, Channel::Arm, $side, $atLeast, false) ?? PHP_INT_MAX) >= $days,
                                $carried->isIdleFor($days, $on, Channel::Arm, $side, $atLeast, false),
                            );
                        }
                    }
                }
            }
            $late = [...$whole->setsOn($firstDay)];
            foreach ([$through->plus(-10), $through->plus(10)] as $day) {
                $this->assertEquals($whole->setsOn($day->ordinal), $carried->setsOn($day->ordinal));
                $sum = fn (LoadRecord $of): ?array => $of->before($day)->with($late)->wholeSeries(Measure::Arm)
                    ->weightedAverages($day->ordinal);
                $this->assertEqualsWithDelta($sum($whole), $sum($carried), 1e-9);
            }
        }
    }

    public function test_windows_of_today_fetch_nothing_that_is_carried(): void
    {
        $sets = $this->sets(7);
        $through = $this->first()->plus(self::CARRIED_DAYS);
        $carried = $this->carried($sets, $through, $sets[0]->day, 7);
        $on = $through->plus(42);
        $series = $carried->wholeSeries(Measure::Arm);
        $series->weightedAverages($on->ordinal);
        $series->sum($on->ordinal - 34, $on->ordinal);
        $series->with($on->ordinal, 5.0)->weightedAverages($on->ordinal);
        $carried->isIdleFor(15, $on, Channel::Arm, null, 0.5, false);
        // Never worked on this side, carried or not: nothing to look for.
        $this->assertNull($carried->idleDays($on, Channel::Landing, Side::Other, 0.5, false));
        $this->assertSame(0, $this->fetched);
        $series->sum($through->ordinal - 5, $on->ordinal);
        $this->assertSame(1, $this->fetched);
    }

    private function first(): Day
    {
        return Day::of('2026-09-01');
    }

    /** @param  list<CostedSet>  $sets */
    private function carried(array $sets, Day $through, int $firstDay, int $seed): LoadRecord
    {
        $upTo = fn (int $from, int $to): array => array_values(
            array_filter($sets, fn (CostedSet $set): bool => $set->day > $from && $set->day <= $to),
        );
        // Carried in two steps as often as in one.
        $half = $through->ordinal - 60;
        $stood = $seed % 2 === 0 && $firstDay <= $half ? CarriedWork::through($half, $upTo(0, $half), $firstDay) : null;
        $work = CarriedWork::through($through->ordinal, $upTo($stood->throughDay ?? 0, $through->ordinal), $firstDay, $stood);

        return new LoadRecord(
            $upTo($through->ordinal, PHP_INT_MAX), [], $firstDay,
            new EarlierRecord($work, function () use ($upTo, $through): array {
                $this->fetched++;

                return $upTo(0, $through->ordinal);
            }),
        );
    }

    /** @return array<string, callable(CostedSet): bool> */
    private function filters(): array
    {
        return [
            'all' => fn (): bool => true,
            'other side' => fn (CostedSet $set): bool => $set->side === Side::Other,
            'throws' => fn (CostedSet $set): bool => $set->family === Family::Throw,
            'one skill' => fn (CostedSet $set): bool => $set->skill === 'float-serve',
        ];
    }

    /** @return list<CostedSet> by day; some weeks empty, some declared, the other side now and then */
    private function sets(int $seed): array
    {
        mt_srand($seed);
        $skills = ['float-serve' => Family::Serve, 'javelin' => Family::Throw];
        $sets = [];
        for ($day = mt_rand(0, 120); $day <= self::DAYS; $day += mt_rand(0, 9) === 0 ? mt_rand(10, 80) : mt_rand(0, 3)) {
            $skill = array_rand($skills);
            $declared = mt_rand(0, 9) === 0;
            $sets[] = new CostedSet(
                $this->first()->plus($day)->ordinal, "s {$day}", $skill, $skills[$skill],
                mt_rand(0, 5) ? Side::Dominant : Side::Other, Implement::Standard,
                [
                    'reps' => $declared ? 0.0 : 8.0, 'shadow' => 0.0, 'high_reps' => 0.0, 'metres' => 0.0,
                    'arm' => mt_rand(1, 700) / 10, 'hand' => 0.0, 'trunk' => 0.0, 'landings' => 0.0,
                ],
                0.7, null,
            );
        }

        return $sets === [] ? $this->sets($seed + 1000) : $sets;
    }
}
