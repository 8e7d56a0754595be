<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\InvalidValue;
use Augendo\Core\Load\EffortCurve;

/**
 * The least a distance asks for: of all throws without spin that come down there, the slowest. Whoever throws flatter, or higher, throws
 * harder.
 */
final readonly class ThrowCheck
{
    /** No arm throws faster, and none is asked to. */
    public const FASTEST_MS = 90.0;

    private const FLATTEST_DEG = -10.0;

    private const STEEPEST_DEG = 89.999;

    private const GRID_DEG = 5.0;

    private const WITHIN_DEG = 0.005;

    private function __construct(public float $leastSpeedMs, public float $elevationDeg) {}

    /**
     * @param  float  $distanceM  above 0
     * @param  float|null  $targetHeightM  the height it comes down to; null: the height of release
     *
     * @throws InvalidValue when no speed up to 90 m/s reaches it
     */
    public static function of(Ball $ball, Air $air, float $releaseHeightM, float $distanceM, ?float $targetHeightM = null): self
    {
        $targetHeightM ??= $releaseHeightM;
        $step = Trajectory::provenStep($ball, $air, new Release($releaseHeightM, 20.0, 45.0), $targetHeightM);
        $range = fn (float $speedMs, float $elevationDeg): float => Trajectory::of(
            $ball, $air, new Release($releaseHeightM, $speedMs, $elevationDeg), $targetHeightM, $step,
        )->landing->rangeM ?? -1.0;
        $least = fn (float $elevationDeg): float => self::leastAt($range, $elevationDeg, $distanceM);

        [$best, $at] = [self::FASTEST_MS, null];
        for ($elevation = self::FLATTEST_DEG; $elevation < 90.0; $elevation += self::GRID_DEG) {
            // Whether it beats the best so far is one flight; how fast it has to be is many.
            if ($range($best, $elevation) >= $distanceM) {
                [$best, $at] = [$least($elevation), $elevation];
            }
        }
        if ($at === null) {
            $at = self::STEEPEST_DEG - self::GRID_DEG;
        }
        [$elevation, $speed] = GoldenSection::lowest(
            $least,
            max(self::FLATTEST_DEG, $at - self::GRID_DEG),
            min(self::STEEPEST_DEG, $at + self::GRID_DEG),
            within: self::WITHIN_DEG,
        );
        if ($speed > self::FASTEST_MS) {
            throw new InvalidValue("No throw of up to 90 m/s carries {$distanceM} m.");
        }

        return new self($speed, $elevation);
    }

    /**
     * Against the fastest that the athlete has shown.
     *
     * @param  float  $referenceMs  above 0
     * @return float share of its energy
     */
    public function energyShare(float $referenceMs): float
    {
        return ($this->leastSpeedMs / $referenceMs) ** 2;
    }

    /** @return float|null the least effort as it is felt, 0 to 1; null: out of this athlete's reach */
    public function leastEffort(float $referenceMs): ?float
    {
        $share = $this->energyShare($referenceMs);

        return $share > 1.0 ? null : EffortCurve::Perceived->effortOf($share);
    }

    /**
     * The slowest at one elevation that carries so far; above `FASTEST_MS`, and the more so the shorter it falls, when none does.
     *
     * @param  callable(float, float): float  $range  of speed and elevation
     */
    private static function leastAt(callable $range, float $elevationDeg, float $distanceM): float
    {
        [$low, $high] = [0.0, self::FASTEST_MS];
        $over = $range($high, $elevationDeg) - $distanceM;
        if ($over < 0.0) {
            return self::FASTEST_MS + 1.0 - $over;
        }
        $under = -$distanceM;
        // False position, by the Illinois rule: the side that stays counts half the next time.
        for ($i = 0; $i < 80 && $high - $low > 1e-10; $i++) {
            $speed = $low + ($high - $low) * $under / ($under - $over);
            $speed = min(max($speed, $low + 1e-3 * ($high - $low)), $high - 1e-3 * ($high - $low));
            $off = $range($speed, $elevationDeg) - $distanceM;
            if ($off >= 0.0) {
                $under = $high === $speed ? $under : $under / 2;
                [$high, $over] = [$speed, $off];
                if ($off < 1e-10) {
                    break;
                }
            } else {
                $over /= 2;
                [$low, $under] = [$speed, $off];
            }
        }

        return $high;
    }
}
