<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\InvalidValue;
use Augendo\Core\Load\EffortCurve;
use Augendo\Core\Load\ThrowReach;

/**
 * What a distance asks of one athlete, by how far they ever threw and by how fast: the larger of the two stands, for a throw is no
 * easier than either says. Thrown and caught at the height of a shoulder.
 */
final readonly class ThrowDemand
{
    private const RELEASE_M = 1.8;

    private const FLATTEST_DEG = -10.0;

    private const STEEPEST_DEG = 89.0;

    private const FINE_DEG = 1e-4;

    /** Range has one highest place between these. */
    private const FURTHEST_BETWEEN_DEG = [0.0, 60.0];

    private const FURTHEST_WITHIN_DEG = 0.01;

    /**
     * @param  ThrowCheck|null  $least  the slowest that carries so far; null: no speed can be told
     * @param  float|null  $referenceMs  the fastest that was shown: measured, or what the longest throw took at least
     * @param  float|null  $byDistance  least effort as it is felt, 0 to 1; null: no longest throw is known
     * @param  float|null  $bySpeed  the same by speed; above the reference 1
     */
    private function __construct(
        private ?Ball $ball,
        private Air $air,
        public float $distanceM,
        public ?float $longestM,
        public ?ThrowCheck $least,
        public ?float $referenceMs,
        public ?float $byDistance,
        public ?float $bySpeed,
    ) {}

    /**
     * @param  Ball|null  $ball  null: it does not fly as a ball does, and only the distance tells
     * @param  float|null  $longestM  the longest throw on record
     * @param  float|null  $fastestMs  the fastest throw on record
     * @return self|null null when nothing is known to hold it against: then nothing is easy
     */
    public static function of(?Ball $ball, Air $air, float $distanceM, ?float $longestM, ?float $fastestMs): ?self
    {
        [$least, $reference] = self::speeds($ball, $air, $distanceM, $longestM, $fastestMs);
        if ($longestM === null && $least === null) {
            return null;
        }

        return new self(
            ball: $least === null ? null : $ball,
            air: $air,
            distanceM: $distanceM,
            longestM: $longestM,
            least: $least,
            referenceMs: $reference,
            byDistance: $longestM === null ? null : ThrowReach::leastEffort($distanceM, $longestM),
            bySpeed: $least === null || $reference === null ? null : $least->leastEffort($reference) ?? 1.0,
        );
    }

    /** @return array{ThrowCheck, float}|array{null, null} the least speed and the fastest that was shown; null: they cannot be told */
    private static function speeds(?Ball $ball, Air $air, float $distanceM, ?float $longestM, ?float $fastestMs): array
    {
        if ($ball === null || ($longestM === null && $fastestMs === null)) {
            return [null, null];
        }
        try {
            $ofLongest = $longestM === null ? 0.0 : ThrowCheck::of($ball, $air, self::RELEASE_M, $longestM)->leastSpeedMs;

            return [ThrowCheck::of($ball, $air, self::RELEASE_M, $distanceM), max($fastestMs ?? 0.0, $ofLongest)];
        } catch (InvalidValue) {
            // No arm sends such a ball so far: what the distance itself says is all there is.
            return [null, null];
        }
    }

    /** @return float metres such a speed carries the ball at most, caught at the height of a shoulder */
    public static function carriesM(Ball $ball, Air $air, float $speedMs): float
    {
        $of = new self($ball, $air, 0.0, null, null, $speedMs, null, null);

        return $of->rangeM($speedMs, $of->best($speedMs));
    }

    /** @return float the larger of the two, 0 to 1 */
    public function leastEffort(): float
    {
        return max($this->byDistance ?? 0.0, $this->bySpeed ?? 0.0);
    }

    public function isDecidedByDistance(): bool
    {
        return $this->byDistance !== null && $this->byDistance >= ($this->bySpeed ?? 0.0);
    }

    public function isOutOfReach(): bool
    {
        return $this->distanceM > ($this->longestM ?? INF) || ($this->least->leastSpeedMs ?? 0.0) > ($this->referenceMs ?? INF);
    }

    /** @return float metres in halves an effort goes at most, by both */
    public function furthestM(float $effort): float
    {
        $byDistance = $this->longestM === null ? INF : ThrowReach::furthestM($effort, $this->longestM);
        if ($this->ball === null || $this->referenceMs === null) {
            return $byDistance;
        }
        $speed = $this->referenceMs * sqrt(EffortCurve::Perceived->stressShare($effort));

        return min($byDistance, floor(2 * $this->rangeM($speed, $this->best($speed))) / 2);
    }

    /** @return array{flattest: Arc, highest: Arc}|null at full speed, those that come down there; null: out of reach, or not told */
    public function arcs(): ?array
    {
        $reference = $this->referenceMs;
        if ($this->ball === null || $reference === null) {
            return null;
        }
        $best = $this->best($reference);
        if ($this->rangeM($reference, $best) < $this->distanceM) {
            return null;
        }
        $flattest = $this->arc($reference, $this->between(self::FLATTEST_DEG, $best, $reference));
        $highest = $this->arc($reference, $this->between(self::STEEPEST_DEG, $best, $reference));

        return $flattest === null || $highest === null ? null : ['flattest' => $flattest, 'highest' => $highest];
    }

    /** With the least speed. */
    public function easiest(): ?Arc
    {
        return $this->least === null ? null : $this->arc($this->least->leastSpeedMs, $this->least->elevationDeg);
    }

    /** @return float the elevation that carries just so far, between one that falls short and one that does not */
    private function between(float $shortDeg, float $farDeg, float $speedMs): float
    {
        while (abs($farDeg - $shortDeg) > self::FINE_DEG) {
            $middle = ($shortDeg + $farDeg) / 2;
            if ($this->rangeM($speedMs, $middle) >= $this->distanceM) {
                $farDeg = $middle;
            } else {
                $shortDeg = $middle;
            }
        }

        return $farDeg;
    }

    private function arc(float $speedMs, float $elevationDeg): ?Arc
    {
        return $this->ball === null ? null : Arc::of($this->ball, $this->air, $this->release($speedMs, $elevationDeg), self::RELEASE_M);
    }

    /** @return float the elevation that carries furthest, degrees */
    private function best(float $speedMs): float
    {
        [$elevation] = GoldenSection::lowest(
            fn (float $deg): float => -$this->rangeM($speedMs, $deg), ...self::FURTHEST_BETWEEN_DEG, within: self::FURTHEST_WITHIN_DEG,
        );

        return $elevation;
    }

    /** @return float metres; 0 when it never comes down to the height of release from above */
    private function rangeM(float $speedMs, float $elevationDeg): float
    {
        return $this->ball === null
            ? 0.0
            : Trajectory::of($this->ball, $this->air, $this->release($speedMs, $elevationDeg), self::RELEASE_M)->landing->rangeM ?? 0.0;
    }

    private function release(float $speedMs, float $elevationDeg): Release
    {
        return new Release(self::RELEASE_M, $speedMs, $elevationDeg);
    }
}
