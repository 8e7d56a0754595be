<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\InvalidValue;
use Augendo\Core\Load\EffortCurve;
use Augendo\Core\Load\ThrowReach;

/**
 * What a distance asks of one athlete, by how far they ever threw and by how fast: the larger of the two stands, for a throw is no
 * easier than either says.
 */
final readonly class ThrowDemand
{
    private const FLATTEST_DEG = -10.0;

    private const STEEPEST_DEG = 89.0;

    private const FINE_DEG = 1e-4;

    private const FINE_M = 1e-3;

    /**
     * @param  float  $referenceMs  the fastest that was shown: measured, or what the longest throw took at least
     * @param  float|null  $byDistance  least effort as it is felt, 0 to 1; null: no longest throw is known
     * @param  float  $bySpeed  the same by speed; above the reference 1
     */
    private function __construct(
        private Ball $ball,
        private Air $air,
        private float $releaseHeightM,
        public ThrowCheck $least,
        public float $distanceM,
        public float $referenceMs,
        public ?float $longestM,
        public ?float $byDistance,
        public float $bySpeed,
    ) {}

    /**
     * Caught at the height it was thrown from.
     *
     * @param  float|null  $longestM  the longest throw on record
     * @param  float|null  $fastestMs  the fastest throw on record
     * @return self|null null when neither is known: then nothing can be said, and nothing is easy
     *
     * @throws InvalidValue when no throw reaches so far
     */
    public static function of(
        Ball $ball, Air $air, float $releaseHeightM, float $distanceM, ?float $longestM, ?float $fastestMs,
    ): ?self {
        if ($longestM === null && $fastestMs === null) {
            return null;
        }
        $least = ThrowCheck::of($ball, $air, $releaseHeightM, $distanceM);
        $ofLongest = $longestM === null ? 0.0 : ThrowCheck::of($ball, $air, $releaseHeightM, $longestM)->leastSpeedMs;
        $reference = max($fastestMs ?? 0.0, $ofLongest);

        return new self(
            ball: $ball,
            air: $air,
            releaseHeightM: $releaseHeightM,
            least: $least,
            distanceM: $distanceM,
            referenceMs: $reference,
            longestM: $longestM,
            byDistance: $longestM === null ? null : ThrowReach::leastEffort($distanceM, $longestM),
            bySpeed: $least->leastEffort($reference) ?? 1.0,
        );
    }

    /** @return float the larger of the two, 0 to 1 */
    public function leastEffort(): float
    {
        return max($this->byDistance ?? 0.0, $this->bySpeed);
    }

    public function isDecidedByDistance(): bool
    {
        return $this->byDistance !== null && $this->byDistance >= $this->bySpeed;
    }

    public function isOutOfReach(): bool
    {
        return $this->distanceM > ($this->longestM ?? INF) || $this->least->leastSpeedMs > $this->referenceMs;
    }

    /** @return float metres in halves an effort goes at most, by both */
    public function furthestM(float $effort): float
    {
        $speed = $this->referenceMs * sqrt(EffortCurve::Perceived->stressShare($effort));
        $bySpeed = floor(2 * $this->rangeM($speed, $this->best($speed))) / 2;

        return $this->longestM === null ? $bySpeed : min($bySpeed, ThrowReach::furthestM($effort, $this->longestM));
    }

    /** @return array{Arc, Arc}|null at full speed, the flattest and the highest that come down there; null: out of reach */
    public function arcs(): ?array
    {
        $best = $this->best($this->referenceMs);
        if ($this->rangeM($this->referenceMs, $best) < $this->distanceM) {
            return null;
        }
        $arcs = [$this->arc(self::FLATTEST_DEG, $best), $this->arc(self::STEEPEST_DEG, $best)];

        return $arcs[0] !== null && $arcs[1] !== null ? [$arcs[0], $arcs[1]] : null;
    }

    /** With the least speed. */
    public function easiest(): ?Arc
    {
        return Arc::of(
            $this->ball,
            $this->air,
            new Release($this->releaseHeightM, $this->least->leastSpeedMs, $this->least->elevationDeg),
            $this->releaseHeightM,
        );
    }

    /** The one between an elevation that falls short and the best one. */
    private function arc(float $shortDeg, float $farDeg): ?Arc
    {
        while (abs($farDeg - $shortDeg) > self::FINE_DEG) {
            $middle = ($shortDeg + $farDeg) / 2;
            $range = $this->rangeM($this->referenceMs, $middle);
            if (abs($range - $this->distanceM) < self::FINE_M) {
                $farDeg = $middle;
                break;
            }
            if ($range > $this->distanceM) {
                $farDeg = $middle;
            } else {
                $shortDeg = $middle;
            }
        }

        return Arc::of(
            $this->ball, $this->air, new Release($this->releaseHeightM, $this->referenceMs, $farDeg), $this->releaseHeightM,
        );
    }

    /** @return float the elevation that carries furthest, degrees: a range has one highest place */
    private function best(float $speedMs): float
    {
        [$low, $high] = [0.0, 60.0];
        while ($high - $low > 0.01) {
            [$one, $other] = [$low + ($high - $low) / 3, $high - ($high - $low) / 3];
            if ($this->rangeM($speedMs, $one) < $this->rangeM($speedMs, $other)) {
                $low = $one;
            } else {
                $high = $other;
            }
        }

        return ($low + $high) / 2;
    }

    /** @return float metres; 0 when it never comes down to the height of release from above */
    private function rangeM(float $speedMs, float $elevationDeg): float
    {
        return Trajectory::of(
            $this->ball, $this->air, new Release($this->releaseHeightM, $speedMs, $elevationDeg), $this->releaseHeightM,
        )->landing->rangeM ?? 0.0;
    }
}
