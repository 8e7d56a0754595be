<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\InvalidValue;

/** How an athlete's serves leave: about which angle, and how widely about it. Up and across do not depend on each other. */
final readonly class Scatter
{
    /**
     * @param  float  $aimElevationDeg  mean elevation
     * @param  float  $elevationDeg  standard deviation, above 0
     * @param  float  $acrossDeg  standard deviation, above 0
     * @param  float  $meanAcrossDeg  added to the azimuth of the release
     *
     * @throws InvalidValue
     */
    public function __construct(
        public float $aimElevationDeg,
        public float $elevationDeg,
        public float $acrossDeg,
        public float $meanAcrossDeg = 0.0,
    ) {
        if ($elevationDeg <= 0.0 || $acrossDeg <= 0.0) {
            throw new InvalidValue('A scatter is wider than 0 degrees.');
        }
    }
}
