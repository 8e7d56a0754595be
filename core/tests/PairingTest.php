<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Devices\Pairing;
use Augendo\Core\Devices\Speeds;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Readings and taps of one afternoon, with clocks that run apart, misses and false counts. */
final class PairingTest extends TestCase
{
    public function test_each_reading_is_the_tap_that_came_after_it(): void
    {
        $pairing = Pairing::of(['a' => 0.0, 'b' => 12.0, 'c' => 24.0], ['x' => 2.0, 'y' => 14.5, 'z' => 26.0]);
        $this->assertSame(['a' => 'x', 'b' => 'y', 'c' => 'z'], $pairing->pairs);
        $this->assertEqualsWithDelta(2.0, $pairing->delayS, 0.5);
    }

    public function test_what_pairs_with_nothing_stays_alone_and_nothing_is_paired_twice(): void
    {
        $this->assertSame([], Pairing::of([], ['x' => 2.0])->pairs);
        $this->assertSame([], Pairing::of(['a' => 0.0], [])->pairs);
        $this->assertSame([], Pairing::of(['a' => 0.0], ['x' => 300.0])->pairs);
        $pairing = Pairing::of(['a' => 0.0, 'false' => 1.0, 'b' => 15.0], ['x' => 2.0, 'y' => 17.0]);
        $this->assertSame(['x', 'y'], array_values($pairing->pairs));
        $this->assertArrayHasKey('b', $pairing->pairs);
    }

    public function test_speed_drops_from_the_first_third_to_the_last_and_of_a_few_nothing_is_told(): void
    {
        $nine = Speeds::of([20.0, 19.0, 21.0, 19.0, 19.0, 19.0, 18.0, 17.0, 18.5]);
        $this->assertSame([19.0, -0.1], [$nine->medianMs, round((float) $nine->fade, 6)]);
        $this->assertNull(Speeds::of([20.0, 10.0])->fade);
        $this->assertSame(15.0, Speeds::of([20.0, 10.0])->medianMs);
    }

    public function test_after_how_many_the_speed_drops_and_what_is_no_speed_of_theirs(): void
    {
        $steady = [17.0, 16.8, 17.1, 16.9, 17.0, 17.2, 16.8, 17.0];
        $tired = [15.9, 16.0, 15.8, 15.7, 15.9, 15.6, 15.8, 15.7];
        $this->assertNull(Speeds::of([...$steady, ...$steady])->dropsAfter());
        // Once three of five that are looked at together are slow, the speed has dropped: they begin at the seventh.
        $this->assertSame(6, Speeds::of([...$steady, ...$tired])->dropsAfter());
        $this->assertNull(Speeds::of([...$steady, ...array_slice($tired, 0, 4), ...$steady])->dropsAfter(), 'it came back');
        $this->assertNull(Speeds::of(array_slice([...$steady, ...$tired], 0, 9))->dropsAfter(), 'too few to tell');
        $this->assertNull(Speeds::of([...array_slice($steady, 0, 5), 10.0, ...$steady])->dropsAfter(), 'one slow throw');

        $with = Speeds::of([...$steady, 31.0, 3.1, 17.4]);
        $this->assertSame([[31.0, 3.1], 17.4], [$with->outliers(), $with->fastestMs()]);
        $this->assertSame([[], 20.3], [Speeds::of([20.0, 20.3, 19.8])->outliers(), Speeds::of([20.0, 20.3, 19.8])->fastestMs()]);
    }

    /**
     * @param  float  $clockOffS  of the device
     * @param  float  $ppm  by which it runs fast
     */
    #[TestWith([0.0, 0.0, 0.05, 3, 0.99, 0.99])]
    #[TestWith([4.0, 60.0, 0.1, 8, 0.98, 0.98])]
    #[TestWith([-5.0, 400.0, 0.15, 15, 0.95, 0.95])]
    public function test_an_afternoon_of_twelve_athletes(
        float $clockOffS, float $ppm, float $missed, int $false, float $precision, float $recall,
    ): void {
        mt_srand(15);
        $random = fn (): float => mt_rand() / mt_getrandmax();
        [$readings, $taps, $truth] = [[], [], []];
        $at = 0.0;
        for ($i = 0; $i < 240; $i++) {
            $at += 8.0 + 14.0 * $random();
            $taps["tap {$i}"] = $at + 1.0 + 2.0 * $random();
            if ($random() >= $missed) {
                $readings["seen {$i}"] = $clockOffS + $at * (1 + $ppm / 1e6);
                $truth["seen {$i}"] = "tap {$i}";
            }
        }
        for ($i = 0; $i < $false; $i++) {
            $readings["false {$i}"] = $at * $random();
        }
        $pairing = Pairing::of($readings, $taps);
        $right = count(array_intersect_assoc($pairing->pairs, $truth));
        $this->assertGreaterThanOrEqual($precision, $right / max(1, count($pairing->pairs)), 'precision');
        $this->assertGreaterThanOrEqual($recall, $right / count($truth), 'recall');
        $this->assertSame(count($pairing->pairs), count(array_unique($pairing->pairs)), 'each tap once');
        $this->assertEqualsWithDelta(2.0 - $clockOffS - $ppm / 1e6 * $at / 2, $pairing->delayS, 0.6);
        $this->assertEqualsWithDelta(-$ppm * 0.0036, $pairing->driftSPerHour, 0.8);
    }
}
