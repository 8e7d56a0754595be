<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\LevelLimit;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitFilter;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\RatioLimit;
use Augendo\Core\Limits\RestLimit;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Limits\Status;
use Augendo\Core\Limits\StepLimit;
use Augendo\Core\Limits\StreakLimit;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\RatioMethod;
use Augendo\Core\Load\Side;
use PHPUnit\Framework\TestCase;

/**
 * What a limit allows is what it holds against: a new session at its allowance fits, and one a little above it does not. Courtside counts
 * down the one, the plan is held by the other.
 */
final class AllowanceTest extends TestCase
{
    private const ON = '2027-05-20';

    private function set(int $daysAgo, float $arm, string $session = 'before', float $effort = 0.5, ?float $distanceM = null): CostedSet
    {
        $nothing = array_fill_keys(['reps', 'shadow', 'high_reps', 'metres', 'arm', 'hand', 'trunk', 'landings'], 0.0);

        return new CostedSet(
            day: Day::of(self::ON)->plus(-$daysAgo)->ordinal, session: $session, skill: 'throw', family: Family::Throw,
            side: Side::Dominant, implement: Implement::Standard, cost: ['arm' => $arm, 'reps' => $arm] + $nothing,
            effort: $effort, distanceM: $distanceM,
        );
    }

    private function terms(): LimitTerms
    {
        return new LimitTerms('limit', 'Limit', 'test', Severity::Hard, null, new LimitFilter);
    }

    /** @return array<string, Limit> */
    private function limits(): array
    {
        return [
            'a day' => new CapLimit($this->terms(), Measure::Arm, 1, 40.0),
            'three days' => new CapLimit($this->terms(), Measure::Arm, 3, 60.0),
            'a session' => new CapLimit($this->terms(), Measure::Arm, null, 30.0),
            'the step' => new StepLimit($this->terms(), Measure::Arm, 0.15, 50.0),
            'two days running' => new StreakLimit($this->terms(), Measure::Arm, 2, 10.0),
            'three days running with anything' => new StreakLimit($this->terms(), Measure::Arm, 3, null),
            'the ratio' => new RatioLimit($this->terms(), Measure::Arm, RatioMethod::Rolling, 0.8, 1.3, 1.5, 14),
        ];
    }

    public function test_a_session_at_the_allowance_fits_and_one_above_it_does_not(): void
    {
        mt_srand(17);
        $bound = array_fill_keys(array_keys($this->limits()), 0);
        for ($run = 0; $run < 150; $run++) {
            $sets = [];
            for ($day = 40; $day >= 0; $day--) {
                if (mt_rand(0, 2) > 0) {
                    $sets[] = $this->set($day, (float) mt_rand(1, 25));
                }
            }
            $record = new LoadRecord($sets);
            foreach ($this->limits() as $name => $limit) {
                $gauge = $limit->gauge($record, Day::of(self::ON));
                $over = fn (float $arm): bool => $gauge->read([$this->set(0, $arm, 'new')])->isOver();
                if ($gauge->allowance === null) {
                    $this->assertFalse($over(1e5), "run {$run}, {$name}: nothing breaks it");

                    continue;
                }
                $this->assertGreaterThanOrEqual(0.0, $gauge->allowance);
                if ($gauge->allowance > 1e-5) {
                    $this->assertFalse($over($gauge->allowance - 1e-6), "run {$run}, {$name}: {$gauge->allowance} fits");
                }
                $this->assertTrue($over($gauge->allowance + 1e-3), "run {$run}, {$name}: more than {$gauge->allowance} does not");
                $bound[$name]++;
            }
        }
        foreach ($bound as $name => $times) {
            $this->assertGreaterThan(10, $times, $name);
        }
    }

    public function test_a_streak_counts_the_days_before_and_what_is_planned(): void
    {
        $read = function (array $daysAgo, ?float $planned, int $most = 2, ?float $atLeast = 10.0): array {
            $record = new LoadRecord(array_map(fn (int $ago): CostedSet => $this->set($ago, 10.0), $daysAgo));
            $gauge = (new StreakLimit($this->terms(), Measure::Arm, $most, $atLeast))->gauge($record, Day::of(self::ON));
            $state = $gauge->read($planned === null ? [] : [$this->set(0, $planned, 'new')]);

            return [$state->used, $state->projected, $state->remaining, $state->status];
        };
        $this->assertEquals([0, 0, 2, Status::Within], $read([], null));
        $this->assertEquals([0, 1, 1, Status::Within], $read([], 10.0));
        $this->assertEquals([0, 0, 2, Status::Within], $read([], 9.99), 'too little to count');
        $this->assertEquals([2, 0, 0, Status::Within], $read([1, 2], null));
        $this->assertEquals([2, 3, 0, Status::Over], $read([1, 2], 10.0));
        $this->assertEquals([2, 2, 0, Status::Within], $read([0, 1], null));
        $this->assertEquals([1, 1, 1, Status::Within], $read([0, 2, 3], null), 'a free day ends it');
        $this->assertEquals([0, 1, 1, Status::Within], $read([2, 3], 10.0));
        $this->assertEquals([1, 2, 1, Status::Within], $read([1], 0.01, 3, null), 'anything counts');
        $limit = new StreakLimit($this->terms(), Measure::Arm, 2, 10.0);
        $this->assertSame(['streak', 2, false], [$limit->kind(), $limit->reachDays(), $limit->onMatchDay()->isHard()]);
    }

    public function test_rest_is_owed_by_the_heaviest_of_the_days_before_and_one_day_more_after_a_match(): void
    {
        $earliest = function (array $work, array $matchDays = []): int {
            $sets = array_map(fn (int $ago, float $arm): CostedSet => $this->set($ago, $arm), array_keys($work), $work);
            $limit = new RestLimit(
                $this->terms(), Measure::Arm, [[20.0, 1], [40.0, 3]],
                array_map(fn (int $ago): int => Day::of(self::ON)->ordinal - $ago, $matchDays),
            );
            $state = $limit->gauge(new LoadRecord($sets), Day::of(self::ON))->read([$this->set(0, 1.0, 'new')]);
            $days = $state->earliest?->daysSince(Day::of(self::ON)) ?? -1;
            $this->assertSame($days > 0, $state->isOver());

            return $days;
        };
        $this->assertSame(0, $earliest([]));
        $this->assertSame(0, $earliest([1 => 19.9]));
        $this->assertSame(1, $earliest([1 => 20.0]));
        $this->assertSame(0, $earliest([2 => 20.0]));
        $this->assertSame(3, $earliest([1 => 40.0]));
        $this->assertSame(1, $earliest([3 => 40.0]));
        $this->assertSame(0, $earliest([4 => 40.0]));
        $this->assertSame(2, $earliest([2 => 40.0, 1 => 20.0]));
        $this->assertSame([2, 1, 4, 0], [
            $earliest([1 => 20.0], [1]), $earliest([1 => 5.0], [1]), $earliest([1 => 40.0], [1]), $earliest([], [1]),
        ], 'a match without such work asks for nothing');
        $limit = new RestLimit($this->terms(), Measure::Arm, [[20.0, 1], [40.0, 3]]);
        $this->assertSame(['rest', 4, false], [$limit->kind(), $limit->reachDays(), $limit->onMatchDay()->isHard()]);
        $this->assertSame(1, (new RestLimit($this->terms(), Measure::Arm, []))->reachDays());
        $this->assertNull($limit->gauge(new LoadRecord([]), Day::of(self::ON))->allowance);
        $idle = $limit->gauge(new LoadRecord([$this->set(1, 40.0)]), Day::of(self::ON));
        $this->assertFalse($idle->read([])->isOver(), 'nothing is planned');
        $this->assertFalse($idle->read([$this->set(0, 0.0)])->isOver());
    }

    public function test_a_level_is_that_of_the_hardest_and_of_the_longest_set(): void
    {
        $on = Day::of(self::ON);
        $record = new LoadRecord([$this->set(0, 5.0, effort: 0.7, distanceM: 12.0), $this->set(0, 5.0), $this->set(1, 5.0, effort: 0.95)]);
        $effort = new LevelLimit($this->terms(), 'effort', 0.75);
        $state = $effort->gauge($record, $on)->read([$this->set(0, 5.0, 'new', 0.75)]);
        $this->assertSame([0.7, 0.75, Status::Within], [$state->used, $state->projected, $state->status], 'never near, only over');
        $this->assertSame(Status::Over, $effort->gauge($record, $on)->read([$this->set(0, 5.0, 'new', 0.76)])->status);
        $this->assertSame(0.0, $effort->gauge($record, $on)->read([])->projected);
        $distance = new LevelLimit($this->terms(), 'distance', 12.0);
        $this->assertSame(Status::Over, $distance->gauge($record, $on)->read([$this->set(0, 5.0, distanceM: 12.1)])->status);
        $this->assertSame([true, false], [$distance->touches($this->set(0, 1.0, distanceM: 1.0)), $distance->touches($this->set(0, 1.0))]);
        $this->assertSame(['level', 0], [$effort->kind(), $effort->reachDays()]);
    }

    public function test_a_cap_and_a_step_are_near_above_nine_tenths_and_may_be_filled(): void
    {
        foreach ([
            [new CapLimit($this->terms(), Measure::Arm, 2, 100.0), 60.0], [new StepLimit($this->terms(), Measure::Arm, 0.25, 80.0), 60.0],
        ] as [$limit, $done]) {
            $gauge = $limit->gauge(new LoadRecord([$this->set(1, $done), $this->set(7, 20.0)]), Day::of(self::ON));
            $read = fn (float $arm): array => [$gauge->read([$this->set(0, $arm)])->status, $gauge->read([$this->set(0, $arm)])->remaining];
            $this->assertEquals([Status::Within, 10.0], $read(30.0));
            $this->assertEquals([Status::Near, 9.0], $read(31.0));
            $this->assertEquals([Status::Near, 0.0], $read(40.0));
            $this->assertEquals([Status::Over, 0.0], $read(41.0));
            $this->assertEqualsWithDelta(40.0, $gauge->allowance, 1e-9);
            $this->assertEqualsWithDelta([0.5 * ($limit instanceof CapLimit ? 100.0 : 80.0)], [
                $limit->scaled(0.5) instanceof CapLimit ? $limit->scaled(0.5)->max : $limit->scaled(0.5)->floor,
            ], 1e-9);
        }
        $grown = (new StepLimit($this->terms(), Measure::Arm, 0.25, 80.0))->gauge(new LoadRecord([
            $this->set(7, 200.0), $this->set(34, 200.0), $this->set(35, 999.0), $this->set(6, 10.0),
        ]), Day::of(self::ON))->read([]);
        $this->assertEqualsWithDelta([10.0, 1.25 * 100.0], [$grown->used, $grown->max], 1e-9, 'four weeks that ended a week ago');
        $cap = fn (?int $days): int => (new CapLimit($this->terms(), Measure::Arm, $days, 1.0))->reachDays();
        $this->assertSame([1, 0, 6], [$cap(2), $cap(null), (new StepLimit($this->terms(), Measure::Arm, 0.1, 1.0))->reachDays()]);
    }

    public function test_a_cap_of_a_session_holds_each_session_alone(): void
    {
        $limit = new CapLimit($this->terms(), Measure::Arm, null, 30.0);
        $read = function (array $done, array $planned) use ($limit): array {
            $sets = fn (array $of): array => array_map(fn (array $each): CostedSet => $this->set(0, $each[1], $each[0]), $of);
            $gauge = $limit->gauge(new LoadRecord([...$sets($done), $this->set(1, 99.0, 'a')]), Day::of(self::ON));
            $state = $gauge->read($sets($planned));

            return [$state->used, $state->projected, $state->status, $gauge->allowance];
        };
        $this->assertEquals([0.0, 0.0, Status::Within, 30.0], $read([], []));
        $this->assertEquals([20.0, 20.0, Status::Within, 30.0], $read([['a', 12.0], ['b', 20.0]], []), 'the largest of the day');
        $this->assertEquals([28.0, 28.0, Status::Near, 30.0], $read([['a', 28.0]], []));
        $this->assertEquals([0.0, 20.0, Status::Within, 30.0], $read([['a', 28.0]], [['b', 20.0]]), 'another session');
        $this->assertEquals([0.0, 28.0, Status::Near, 30.0], $read([['a', 8.0]], [['a', 20.0]]));
        $this->assertEquals([0.0, 31.0, Status::Over, 30.0], $read([['a', 8.0]], [['a', 20.0], ['a', 3.0], ['b', 5.0]]));
        $this->assertEquals([0.0, 0.5, Status::Within, 30.0], $read([], [['a', 0.5]]));
    }
}
