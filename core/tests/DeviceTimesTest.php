<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Devices\Loan;
use Augendo\Core\Devices\SeenAndTapped;
use Augendo\Core\Devices\SessionSpan;
use Augendo\Core\Devices\Speeds;
use Augendo\Core\Load\EffortCurve;
use PHPUnit\Framework\TestCase;

/** Whose a reading is, of which session, and what it adds to what was tapped. Seconds from any zero. */
final class DeviceTimesTest extends TestCase
{
    private const HOUR = 3600.0;

    public function test_what_a_device_saw_a_quarter_of_an_hour_before_it_was_lent_is_theirs_but_for_what_was_the_last_ones(): void
    {
        $first = Loan::begun(10_000.0, null);
        $this->assertSame([9_100.0, null], [$first->fromS, $first->untilS]);
        $this->assertSame([false, true, true], [$first->holds(9_099.9), $first->holds(9_100.0), $first->holds(1e9)]);
        $next = Loan::begun(10_000.0, 9_700.0);
        $this->assertSame([false, true], [$next->holds(9_699.9), $next->holds(9_700.0)], 'the one before had it until then');
        $over = new Loan(9_100.0, 9_700.0);
        $this->assertSame([true, false], [$over->holds(9_699.9), $over->holds(9_700.0)], 'no reading is of both');
    }

    public function test_a_session_holds_half_an_hour_around_its_taps_and_its_plan_where_nobody_tapped(): void
    {
        $span = SessionSpan::of(17 * self::HOUR, 90, [18.2 * self::HOUR, 17.5 * self::HOUR], []);
        $this->assertEqualsWithDelta([17 * self::HOUR, 18.7 * self::HOUR], [$span->fromS, $span->untilS], 1e-6);
        $planned = SessionSpan::of(17 * self::HOUR, 90, [], []);
        $this->assertEqualsWithDelta([16.5 * self::HOUR, 19 * self::HOUR], [$planned->fromS, $planned->untilS], 1e-6);
        $open = SessionSpan::of(17 * self::HOUR, null, [], []);
        $this->assertEqualsWithDelta(19.5 * self::HOUR, $open->untilS, 1e-6, 'of no known length: two hours');
    }

    public function test_of_two_sessions_that_follow_each_other_no_reading_is_of_both(): void
    {
        mt_srand(23);
        for ($i = 0; $i < 200; $i++) {
            [$one, $other] = [17 * self::HOUR, 17 * self::HOUR + mt_rand(1200, 7200)];
            $taps = fn (float $from): array => mt_rand(0, 2) === 0 ? [] : array_map(
                fn (int $nth): float => $from + 60.0 * $nth, range(0, mt_rand(0, 15)),
            );
            [$tapsOne, $tapsOther] = [$taps($one), $taps($other)];
            $began = fn (float $starts, array $tapped): float => $tapped === [] ? $starts : min($tapped);
            $first = SessionSpan::of($one, 60, $tapsOne, [$began($other, $tapsOther)]);
            $second = SessionSpan::of($other, 60, $tapsOther, [$began($one, $tapsOne)]);
            $this->assertLessThanOrEqual($second->fromS, $first->untilS, "case {$i}");
        }
    }

    public function test_the_larger_of_what_was_seen_and_tapped_is_load(): void
    {
        foreach ([[[], 6, 6, 0], [[9], 6, 9, 3], [[4], 6, 6, 0], [[7, 9], 6, 9, 3], [[5], 0, 5, 5]] as [$seen, $tapped, $load, $beyond]) {
            $of = SeenAndTapped::of($seen, $tapped);
            $this->assertSame([$load, $beyond], [$of->load(), $of->beyond()], json_encode([$seen, $tapped], JSON_THROW_ON_ERROR));
        }
    }

    public function test_a_speed_is_held_against_the_effort_that_was_asked(): void
    {
        $speeds = Speeds::of([14.0, 15.0, 16.0]);
        [$asked, $implied] = $speeds->effort([0.5, null, 0.6, 0.5], 20.0) ?? [null, null];
        $this->assertSame(0.5, $asked, 'the one nobody asked for is left out');
        $this->assertEqualsWithDelta(EffortCurve::Perceived->effortOf(0.5625), $implied, 1e-12, 'three quarters of the speed');
        $this->assertEqualsWithDelta(1.0, Speeds::of([22.0])->effort([0.5], 20.0)[1] ?? null, 1e-12, 'never more than all');
        $this->assertNull($speeds->effort([0.5], null), 'nothing is on record');
        $this->assertNull($speeds->effort([null], 20.0), 'nothing was asked');
    }
}
