<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\UsualWeek;
use PHPUnit\Framework\TestCase;

final class UsualWeekTest extends TestCase
{
    public function test_four_declared_weeks_come_to_eight_tenths_of_what_was_declared(): void
    {
        $this->assertEqualsWithDelta(0.8 * 4 * 120.0, UsualWeek::DECLARED_DAYS * UsualWeek::declaredDay(120.0), 1e-9);
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

    public function test_a_record_shorter_than_a_month_says_nothing_of_a_usual_week(): void
    {
        $series = new DailySeries([1000 - 28 => 40.0, 1000 - 10 => 60.0], 1000 - 28);
        $this->assertSame(25.0, UsualWeek::ofRecord($series, 1000));
        $this->assertNull(UsualWeek::ofRecord($series, 999));
        $this->assertNull(UsualWeek::ofRecord(new DailySeries([], null), 1000));
    }
}
