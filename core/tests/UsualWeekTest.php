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
}
