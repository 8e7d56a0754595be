<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\InvalidValue;

/** How a ball leaves the hand or the racket: at x = y = 0, x towards the target, y to the left, z up. */
final readonly class Release
{
    /**
     * @param  float  $speedMs  above 0
     * @param  float  $elevationDeg  −90 to 90, above the horizontal
     * @param  float  $azimuthDeg  to the left
     * @param  array{float, float, float}  $spinRadS  along its axis by the right hand: topspin (0, ω, 0), backspin (0, −ω, 0)
     *
     * @throws InvalidValue
     */
    public function __construct(
        public float $heightM,
        public float $speedMs,
        public float $elevationDeg,
        public float $azimuthDeg = 0.0,
        public array $spinRadS = [0.0, 0.0, 0.0],
    ) {
        if ($speedMs <= 0.0 || abs($elevationDeg) > 90.0) {
            throw new InvalidValue('A release has a speed above 0, and an elevation of −90 to 90 degrees.');
        }
    }

    /** The same at another angle. */
    public function towards(float $elevationDeg, ?float $azimuthDeg = null): self
    {
        return new self($this->heightM, $this->speedMs, $elevationDeg, $azimuthDeg ?? $this->azimuthDeg, $this->spinRadS);
    }

    /** @return array{float, float, float} m/s along x, y and z */
    public function velocityMs(): array
    {
        [$elevation, $azimuth] = [deg2rad($this->elevationDeg), deg2rad($this->azimuthDeg)];
        $along = $this->speedMs * cos($elevation);

        return [$along * cos($azimuth), $along * sin($azimuth), $this->speedMs * sin($elevation)];
    }
}
