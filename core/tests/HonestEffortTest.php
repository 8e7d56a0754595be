<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\EffortCurve;
use Augendo\Core\Load\HonestEffort;
use Augendo\Core\Load\YearRound;
use PHPUnit\Framework\TestCase;

final class HonestEffortTest extends TestCase
{
    public function test_the_curve_read_backwards_is_the_curve(): void
    {
        foreach ([EffortCurve::Perceived, EffortCurve::Linear, EffortCurve::Speed] as $curve) {
            for ($effort = 0.0; $effort <= 1.0; $effort += 0.01) {
                $this->assertEqualsWithDelta($effort, $curve->effortOf($curve->stressShare($effort)), 1e-9, "{$curve->value} {$effort}");
            }
        }
        $this->assertSame(1.0, EffortCurve::Perceived->effortOf(1.0));
        $this->assertEqualsWithDelta(0.5, EffortCurve::Perceived->effortOf(0.70), 1e-12);
    }

    public function test_what_was_measured_implies_an_effort(): void
    {
        $this->assertNull(HonestEffort::implied(null, null));
        // 0.7 of the full energy costs what half effort costs.
        $this->assertEqualsWithDelta(0.5, HonestEffort::implied(null, 0.70), 1e-12);
        $this->assertEqualsWithDelta(0.5, HonestEffort::implied(sqrt(0.70), 0.2), 1e-12);
        $this->assertSame(1.0, HonestEffort::implied(1.2, null), 'faster than the reference is full');
    }

    public function test_half_that_is_thrown_harder_is_said_from_eight_sets_up(): void
    {
        $sets = array_map(fn (int $i): array => [0.5, 0.8 + 0.01 * ($i % 5)], range(1, 12));
        $this->assertNull(HonestEffort::of(array_slice($sets, 0, 7)));
        $honest = HonestEffort::of($sets);
        $this->assertNotNull($honest);
        $this->assertSame(12, $honest->sets);
        $this->assertEqualsWithDelta(0.32, $honest->difference, 1e-9);
        $this->assertTrue(
            $honest->low >= 0.30 && $honest->low <= $honest->difference && $honest->high >= $honest->difference && $honest->high <= 0.34,
        );
        $this->assertEquals($honest, HonestEffort::of($sets), 'the same sets, the same interval');
        // Spread on both sides of what was asked: the interval holds zero.
        $even = HonestEffort::of(array_map(fn (int $i): array => [0.5, 0.5 + ($i % 2 === 0 ? 0.1 : -0.1) * ($i % 3 + 1)], range(1, 20)));
        $this->assertTrue($even !== null && $even->low <= 0.0 && $even->high >= 0.0);
    }

    public function test_a_year_tells_its_months_and_its_longest_rest(): void
    {
        $on = Day::of('2027-06-30');
        $worked = [];
        for ($back = 0; $back < 365; $back += 2) {
            $back > 100 && $back < 140 || $worked[$on->ordinal - $back] = 10.0;
        }
        $year = YearRound::of(new DailySeries($worked, $on->ordinal - 364), $on);
        $this->assertSame([12, 39, 365, true], [$year->monthsWorked, $year->longestOffDays, $year->daysKnown, $year->isShortOfRest()]);
        $rested = array_filter($worked, fn (int $day): bool => $day < $on->ordinal - 150 || $day > $on->ordinal - 80, ARRAY_FILTER_USE_KEY);
        $this->assertFalse(YearRound::of(new DailySeries($rested, $on->ordinal - 364), $on)->isShortOfRest());
        $this->assertSame(0, YearRound::of(new DailySeries([], null), $on)->daysKnown);
    }

    public function test_a_year_is_looked_at_from_three_hundred_days_on(): void
    {
        $on = Day::of('2027-05-20');
        $known = fn (int $days): bool => YearRound::of(new DailySeries([$on->ordinal => 1.0], $on->ordinal - $days + 1), $on)->isKnown();
        $this->assertTrue($known(300));
        $this->assertFalse($known(299));
    }
}
