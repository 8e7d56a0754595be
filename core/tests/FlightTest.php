<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Flight\Air;
use Augendo\Core\Flight\Ball;
use Augendo\Core\Flight\Court;
use Augendo\Core\Flight\Release;
use Augendo\Core\Flight\Scatter;
use Augendo\Core\Flight\ServeWindow;
use Augendo\Core\Flight\ThrowCheck;
use Augendo\Core\Flight\Trajectory;
use Augendo\Core\InvalidValue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Flight against exact formulas, against figures of any textbook, against half the step, and against drawing serves one by one. */
final class FlightTest extends TestCase
{
    private const G = Trajectory::GRAVITY_MS2;

    private static function withoutAir(): Ball
    {
        return new Ball(0.2, 0.08, 0.0);
    }

    /** A ball like those that are hit over a net with the hand. */
    private static function large(): Ball
    {
        return new Ball(0.27, 0.21, 0.35);
    }

    /** The speed at which drag holds the weight, on a mild day at sea level: √(2mg / ρAC_d). */
    private static function terminalSpeedMs(Ball $ball): float
    {
        return sqrt(2 * $ball->massKg * self::G / ((new Air)->densityKgM3 * $ball->crossSectionM2() * $ball->dragCoefficient));
    }

    /** @return iterable<string, array{Release, float}> a release and the height it comes down to */
    public static function releases(): iterable
    {
        $given = [
            [1.5, 16.0, 35.0, 0.0], [2.8, 40.0, -4.0, 0.0], [0.0, 12.0, 0.4, 0.0], [1.0, 25.0, 89.0, 0.5], [0.5, 9.0, 60.0, 2.0],
        ];
        foreach ($given as [$height, $speed, $elevation, $ground]) {
            yield "{$speed} m/s at {$elevation}°" => [new Release($height, $speed, $elevation, 7.0), $ground];
        }
    }

    #[DataProvider('releases')]
    public function test_without_air_it_is_the_exact_formula(Release $release, float $groundM): void
    {
        $flight = Trajectory::proven(self::withoutAir(), new Air, $release, $groundM);
        $along = $release->speedMs * cos(deg2rad($release->elevationDeg));
        $up = $release->speedMs * sin(deg2rad($release->elevationDeg));
        $time = ($up + sqrt($up ** 2 + 2 * self::G * ($release->heightM - $groundM))) / self::G;
        $apex = $release->heightM + ($up > 0 ? $up ** 2 / (2 * self::G) : 0.0);

        $this->assertNotNull($flight->landing);
        $this->assertEqualsWithDelta(1.0, $flight->landing->timeS / $time, 1e-6);
        $this->assertEqualsWithDelta($along * $time * cos(deg2rad(7)), $flight->landing->rangeM, 1e-6 * $along * $time);
        $this->assertEqualsWithDelta($along * $time * sin(deg2rad(7)), $flight->landing->acrossM, 1e-6 * $along * $time);
        $this->assertEqualsWithDelta(1.0, $flight->apexM / $apex, 1e-6);
    }

    public function test_three_figures_of_any_textbook(): void
    {
        // The range in a vacuum at 45 degrees is v²/g.
        $vacuum = Trajectory::proven(self::withoutAir(), new Air, new Release(0.0, 20.0, 45.0));
        $this->assertEqualsWithDelta(20 ** 2 / self::G, $vacuum->landing?->rangeM, 1e-5);
        // A drop with drag: z = (v²/g) ln cosh(gt/v), v being the terminal speed; upright, since a release has a speed.
        $ball = self::large();
        $terminal = self::terminalSpeedMs($ball);
        $slow = Trajectory::proven($ball, new Air, new Release(20.0, 1e-9, 0.0));
        $time = $terminal / self::G * acosh(exp(20.0 * self::G / $terminal ** 2));
        $this->assertEqualsWithDelta($time, $slow->landing?->timeS, 1e-5);
        // Whatever falls long enough falls at its terminal speed.
        $light = new Ball(0.0027, 0.04, 0.5);
        $this->assertEqualsWithDelta(
            self::terminalSpeedMs($light), Trajectory::proven($light, new Air, new Release(150.0, 1.0, 0.0))->landing?->speedMs, 1e-4,
        );
        // Air at sea level and 15 °C.
        $this->assertEqualsWithDelta(1.225, (new Air)->densityKgM3, 1e-4);
    }

    public function test_half_the_step_changes_less_than_a_millimetre(): void
    {
        mt_srand(71);
        $draw = fn (float $low, float $high): float => $low + ($high - $low) * mt_rand() / mt_getrandmax();
        $balls = [
            self::large(), new Ball(0.058, 0.067, 0.55), new Ball(0.145, 0.073, 0.35),
            new Ball(0.0027, 0.04, 0.5), new Ball(7.26, 0.12, 0.47),
        ];
        $looked = 0;
        for ($i = 0; $i < 400; $i++) {
            $ball = $balls[$i % count($balls)];
            $air = new Air($draw(-10, 40), $draw(0, 3000));
            $spin = [$draw(-60, 60), $draw(-400, 400), $draw(-100, 100)];
            $release = new Release($draw(0, 3), $draw(1, 60), $draw(-30, 88), $draw(-20, 20), $spin);
            $step = Trajectory::provenStep($ball, $air, $release, 0.1);
            [$one, $half] = [
                Trajectory::of($ball, $air, $release, 0.1, $step)->landing,
                Trajectory::of($ball, $air, $release, 0.1, $step / 8)->landing,
            ];
            if ($one === null || $half === null) {
                continue;
            }
            $looked++;
            $this->assertLessThan(1e-3, hypot($one->rangeM - $half->rangeM, $one->acrossM - $half->acrossM));
            $this->assertLessThan(1e-4, abs($one->timeS - $half->timeS));
        }
        $this->assertGreaterThan(350, $looked);
    }

    public function test_topspin_comes_down_earlier_backspin_later_and_sidespin_beside(): void
    {
        $fly = fn (array $spin): ?\Augendo\Core\Flight\Landing => Trajectory::proven(
            self::large(), new Air, new Release(2.2, 18.0, 6.0, 0.0, $spin),
        )->landing;
        [$none, $top, $back, $side] = [$fly([0.0, 0.0, 0.0]), $fly([0.0, 60.0, 0.0]), $fly([0.0, -60.0, 0.0]), $fly([0.0, 0.0, 60.0])];

        $this->assertLessThan($none?->rangeM, $top?->rangeM);
        $this->assertGreaterThan($none?->rangeM, $back?->rangeM);
        $this->assertGreaterThan(0.1, $side?->acrossM);
        $this->assertSame(0.0, $none?->acrossM);
    }

    public function test_a_height_is_read_where_it_passes(): void
    {
        $flight = Trajectory::proven(self::withoutAir(), new Air, new Release(1.5, 16.0, 35.0));
        $at = 10.0 / (16.0 * cos(deg2rad(35)));
        $this->assertEqualsWithDelta(1.5 + 16 * sin(deg2rad(35)) * $at - self::G / 2 * $at ** 2, $flight->heightAtM(10.0), 1e-9);
        $this->assertSame(1.5, $flight->heightAtM(0.0));
        $this->assertNull($flight->heightAtM(-1.0));
        $this->assertNull($flight->heightAtM(26.6));
    }

    public function test_what_never_comes_down_from_above_has_no_landing(): void
    {
        $this->assertNull(Trajectory::proven(self::withoutAir(), new Air, new Release(1.0, 5.0, 20.0), 3.0)->landing);
        $this->assertNull(Trajectory::proven(self::withoutAir(), new Air, new Release(0.0, 5.0, -20.0))->landing);
        $this->assertNull(Trajectory::proven(self::withoutAir(), new Air, new Release(0.0, 150.0, 90.0))->landing);
    }

    public function test_without_air_the_least_throw_is_the_one_at_45_degrees(): void
    {
        $check = ThrowCheck::of(self::withoutAir(), new Air, 1.8, 30.0);
        $this->assertEqualsWithDelta(sqrt(30 * self::G), $check->leastSpeedMs, 1e-6);
        $this->assertEqualsWithDelta(45.0, $check->elevationDeg, 0.05);
        // v² = g(h + √(h² + d²)) with the target h above the release.
        $this->assertEqualsWithDelta(
            sqrt(self::G * (1.2 + hypot(1.2, 8.0))), ThrowCheck::of(self::withoutAir(), new Air, 1.8, 8.0, 3.0)->leastSpeedMs, 1e-5,
        );
        $this->assertEqualsWithDelta(
            sqrt(self::G * (-1.8 + hypot(1.8, 8.0))), ThrowCheck::of(self::withoutAir(), new Air, 1.8, 8.0, 0.0)->leastSpeedMs, 1e-5,
        );
    }

    public function test_no_elevation_does_with_less(): void
    {
        $ball = new Ball(0.35, 0.18, 0.47);
        $check = ThrowCheck::of($ball, new Air, 1.8, 22.0);
        $far = fn (float $speed, float $elevation): float => Trajectory::proven(
            $ball, new Air, new Release(1.8, $speed, $elevation), 1.8,
        )->landing->rangeM ?? -1.0;
        $this->assertEqualsWithDelta(22.0, $far($check->leastSpeedMs, $check->elevationDeg), 1e-4);
        for ($elevation = 0.25; $elevation < 90; $elevation += 0.5) {
            $this->assertLessThan(22.0 + 1e-4, $far($check->leastSpeedMs, $elevation));
        }
        $this->assertNull($check->leastEffort($check->leastSpeedMs * 0.99));
        $this->assertEqualsWithDelta(1.0, $check->leastEffort($check->leastSpeedMs), 1e-9);
    }

    public function test_what_nobody_throws_is_refused(): void
    {
        $this->expectException(InvalidValue::class);
        ThrowCheck::of(new Ball(0.0027, 0.04, 0.5), new Air, 1.8, 60.0);
    }

    public function test_the_edges_of_a_window_are_where_a_serve_goes_out(): void
    {
        [$ball, $court] = [self::large(), new Court(9.0, 2.24, 9.0, 18.0, -4.5, 4.5)];
        $release = new Release(2.4, 16.0, 0.0);
        $window = (new ServeWindow($ball, new Air, $release, $court))->elevations();
        $this->assertNotNull($window);
        [$low, $high] = $window;
        $at = fn (float $elevation): Trajectory => Trajectory::proven($ball, new Air, $release->towards($elevation), $ball->radiusM());
        $this->assertEqualsWithDelta(2.24 + 0.105, $at($low)->heightAtM(9.0), 1e-4);
        $this->assertEqualsWithDelta(18.0, $at($high)->landing?->rangeM, 1e-3);
    }

    public function test_the_share_is_that_of_serves_drawn_one_by_one(): void
    {
        mt_srand(5);
        $normal = fn (): float => sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
        [$ball, $court] = [self::large(), new Court(9.0, 2.24, 9.0, 18.0, -4.5, 4.5)];
        $release = new Release(2.5, 17.0, 0.0, 2.0, [0.0, 60.0, 15.0]);
        $scatter = new Scatter(14.0, 3.0, 2.0, 1.0);
        $drawn = 6000;
        $in = 0;
        for ($i = 0; $i < $drawn; $i++) {
            $flight = Trajectory::of($ball, new Air, $release->towards(14.0 + 3.0 * $normal(), 3.0 + 2.0 * $normal()), $ball->radiusM());
            [$x, $y] = [$flight->landing->rangeM ?? 0.0, $flight->landing->acrossM ?? 0.0];
            $in += $x >= 9.0 && $x <= 18.0 && abs($y) <= 4.5 && $flight->heightAtM(9.0) >= 2.24 + 0.105 ? 1 : 0;
        }
        $share = (new ServeWindow($ball, new Air, $release, $court))->shareIn($scatter);
        $this->assertEqualsWithDelta($in / $drawn, $share, 3 * sqrt($share * (1 - $share) / $drawn) + 0.005);
        $this->assertGreaterThan(0.3, $share);
        $this->assertLessThan(0.9, $share);
    }

    public function test_a_side_line_through_the_middle_takes_half(): void
    {
        $share = fn (float $rightM): float => (new ServeWindow(
            self::large(), new Air, new Release(2.5, 17.0, 0.0), new Court(9.0, 2.24, 9.0, 18.0, $rightM, 20.0),
        ))->shareIn(new Scatter(12.0, 3.0, 4.0));
        $this->assertEqualsWithDelta($share(-20.0) / 2, $share(0.0), 1e-4);
    }

    public function test_slower_has_the_larger_window_and_too_fast_from_below_the_net_none(): void
    {
        $court = new Court(9.0, 2.24, 9.0, 18.0, -4.5, 4.5);
        $width = function (float $speed) use ($court): float {
            $window = (new ServeWindow(self::large(), new Air, new Release(2.4, $speed, 0.0), $court))->elevations();

            return $window === null ? 0.0 : $window[1] - $window[0];
        };
        $this->assertGreaterThan($width(20.0), $width(16.0));
        $this->assertGreaterThan($width(26.0), $width(20.0));
        $this->assertSame(0.0, $width(45.0));
    }
}
