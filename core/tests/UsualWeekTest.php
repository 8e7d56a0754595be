<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\Felt;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\UsualWeek;
use Augendo\Core\Load\WorkSet;
use PHPUnit\Framework\TestCase;

final class UsualWeekTest extends TestCase
{
    public function test_four_declared_weeks_come_to_eight_tenths_of_what_was_declared(): void
    {
        $this->assertEqualsWithDelta(0.8 * 4 * 120.0, UsualWeek::DECLARED_DAYS * UsualWeek::declaredDay(120.0), 1e-9);
        $this->assertEqualsWithDelta(70.0, 7 * UsualWeek::declaredDay(120.0, 70.0), 1e-9, 'at most what the starter allows');
        $this->assertEqualsWithDelta(40.0, 7 * UsualWeek::declaredDay(120.0, 70.0, 40.0), 1e-9, 'at most what the record shows');
        $this->assertSame(0.0, UsualWeek::declaredDay(120.0, 70.0, 0.0), 'a record of nothing thrown is one');
    }

    public function test_what_is_done_in_a_week_becomes_units_with_the_prices_of_all_other_work(): void
    {
        $skills = (new Library(dirname(__DIR__, 2).'/library'))->skills();
        $day = Day::of('2027-05-10');
        $price = new SetCost(new AthleteProfile($day->plus(-16 * 366)));
        $work = [
            WorkSet::ordinarily($day, 'week', $skills['overhand-throw'], 120, Felt::Middling->effort()),
            WorkSet::ordinarily($day, 'week', $skills['jump'], 40, null),
        ];
        $week = UsualWeek::ofWork($work, $price);
        $this->assertEqualsWithDelta($price->of($work[0])->cost['arm'], $week['arm'], 1e-9);
        $this->assertEqualsWithDelta($price->of($work[1])->cost['landings'], $week['landings'], 1e-9);
        $this->assertGreaterThan(0.0, $week['arm']);
    }

    public function test_it_counts_at_most_half_of_the_starters_cap_of_a_week(): void
    {
        $starter = (new Library(dirname(__DIR__, 2).'/library'))->ruleSet('starter')->limits;
        $cap = fn (int $age): float => min(array_map(
            fn (Limit $limit): float => $limit instanceof CapLimit ? $limit->max : INF,
            array_filter($starter, fn (Limit $limit): bool => $limit->baseId() === 'arm-week' && $limit->appliesAt($age)),
        ));
        $this->assertEqualsWithDelta($cap(13) / 2, UsualWeek::mostDeclared($starter, 13, Measure::Arm), 1e-9);
        $this->assertEqualsWithDelta($cap(30) / 2, UsualWeek::mostDeclared($starter, 30, Measure::Arm), 1e-9);
        $this->assertLessThan($cap(30) / 2, UsualWeek::mostDeclared($starter, null, Measure::Arm), 'unknown is the strictest');
        $this->assertNull(UsualWeek::mostDeclared([], 30, Measure::Arm));
    }

    public function test_the_usual_week_is_that_of_the_best_month_of_ten_weeks_not_of_the_weeks_of_the_injury(): void
    {
        $weeks = fn (array $sums): DailySeries => new DailySeries(
            array_combine(array_map(fn (int $week): int => 1000 - 7 * $week, array_keys($sums)), array_map(floatval(...), $sums)),
            800,
        );
        $this->assertSame(100.0, UsualWeek::read($weeks([0, 0, 0, 100, 100, 100, 100, 20]), 1000));
        $this->assertSame(0.0, UsualWeek::read($weeks([0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 400]), 1000), 'Older than ten weeks.');
        $this->assertSame(0.0, UsualWeek::read(new DailySeries([], null), 1000));
    }

    public function test_of_a_declared_week_far_off_what_is_known_the_smaller_counts_until_somebody_is_sure(): void
    {
        $this->assertNull(UsualWeek::untilSure(300.0, []), 'Nothing else is known.');
        $this->assertNull(UsualWeek::untilSure(300.0, [0.0]), 'Zero says nothing.');
        $this->assertNull(UsualWeek::untilSure(125.0, [100.0]));
        $this->assertSame(100.0, UsualWeek::untilSure(126.0, [100.0]));
        $this->assertNull(UsualWeek::untilSure(60.0, [100.0]));
        $this->assertSame(59.0, UsualWeek::untilSure(59.0, [100.0]), 'Far below is asked about too; it is the smaller.');
        $this->assertSame(80.0, UsualWeek::untilSure(300.0, [80.0, 100.0]));
        $this->assertNull(UsualWeek::untilSure(0.0, [100.0]), 'Not declared.');
    }

    public function test_the_declared_weeks_stay_where_they_were_said_and_never_reach_into_the_record(): void
    {
        $said = Day::of('2027-03-31');
        $this->assertSame('2027-03-31', UsualWeek::lastDay(null, $said)->iso());
        $this->assertSame('2027-03-31', UsualWeek::lastDay(Day::of('2027-06-01'), $said)->iso(), 'two idle months are idle');
        $this->assertSame('2027-03-31', UsualWeek::lastDay(Day::of('2027-04-01'), $said)->iso());
        $this->assertSame('2027-02-28', UsualWeek::lastDay(Day::of('2027-03-01'), $said)->iso());
    }

    public function test_after_two_weeks_the_record_speaks(): void
    {
        $series = new DailySeries([1000 => 40.0, 1010 => 60.0, 1020 => 500.0], 1000);
        $this->assertNull(UsualWeek::shown($series, 1013));
        $this->assertSame(50.0, UsualWeek::shown($series, 1014));
        $this->assertSame(50.0, UsualWeek::shown($series, 1400), 'what came later is no usual week of before');
        $this->assertNull(UsualWeek::shown(new DailySeries([], null), 1000));
    }
}
