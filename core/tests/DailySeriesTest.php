<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Load\DailySeries;
use PHPUnit\Framework\TestCase;

final class DailySeriesTest extends TestCase
{
    /** The averages are carried from day to day; in whatever order days are asked for, they are those worked out from the first. */
    public function test_weighted_averages_do_not_depend_on_the_order_of_asking(): void
    {
        mt_srand(5);
        $byDay = [];
        for ($day = 0; $day < 200; $day++) {
            mt_rand(0, 2) && $byDay[$day] = mt_rand(0, 400) / 4;
        }
        $literal = function (array $byDay, int $on): array {
            $acute = $chronic = $byDay[0] ?? 0.0;
            for ($day = 1; $day <= $on; $day++) {
                $acute = 0.25 * ($byDay[$day] ?? 0.0) + 0.75 * $acute;
                $chronic = 2 / 29 * ($byDay[$day] ?? 0.0) + 27 / 29 * $chronic;
            }

            return [$acute, $chronic];
        };
        $series = new DailySeries($byDay, 0);
        for ($i = 0; $i < 300; $i++) {
            $on = mt_rand(0, 199);
            $this->assertEqualsWithDelta($literal($byDay, $on), $series->weightedAverages($on), 1e-9);
            $more = [$on => ($byDay[$on] ?? 0.0) + 30.0] + $byDay;
            $this->assertEqualsWithDelta($literal($more, $on), $series->with($on, 30.0)->weightedAverages($on), 1e-9);
        }
        $this->assertNull((new DailySeries([], null))->weightedAverages(3));
        $this->assertNull($series->weightedAverages(-1));
    }
}
