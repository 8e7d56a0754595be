<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\CopiesItself;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\CourtBox;
use Augendo\Core\Library\LibraryCourt;

/** One way of serving: from where, how high, how fast, with what spin, over which net, into which box. */
final readonly class Serve
{
    use CopiesItself;

    private const RPM_IN_RAD_S = M_PI / 30;

    /**
     * @param  float  $contactM  in front of the base line; behind it below 0
     * @param  float  $acrossM  where it is hit, to the left of the middle above 0
     * @param  float  $topspinRpm  backspin below 0
     * @param  float  $sidespinRpm  that bends it to the left; to the right below 0
     *
     * @throws InvalidValue when it is hit behind the net's other side, or nowhere near
     */
    public function __construct(
        public Ball $ball,
        public Air $air,
        public LibraryCourt $court,
        public CourtBox $box,
        public float $netHeightM,
        public float $contactM,
        public float $acrossM,
        public float $heightM,
        public float $speedMs,
        public float $topspinRpm,
        public float $sidespinRpm,
    ) {
        if ($contactM >= $court->netM) {
            throw new InvalidValue('A serve is hit on this side of the net.');
        }
    }

    public function isWithoutSpin(): bool
    {
        return abs($this->topspinRpm) + abs($this->sidespinRpm) < 1.0;
    }

    public function seen(): Court
    {
        return $this->court->seenFrom($this->contactM, $this->acrossM, $this->netHeightM, $this->box);
    }

    /** @return float degrees to the left: at the middle of the box */
    public function aimDeg(): float
    {
        $court = $this->seen();

        return rad2deg(atan2(($court->rightM + $court->leftM) / 2, ($court->nearM + $court->farM) / 2));
    }

    public function release(float $elevationDeg, ?float $azimuthDeg = null): Release
    {
        return new Release(
            heightM: $this->heightM,
            speedMs: $this->speedMs,
            elevationDeg: $elevationDeg,
            azimuthDeg: $azimuthDeg ?? $this->aimDeg(),
            spinRadS: [0.0, $this->topspinRpm * self::RPM_IN_RAD_S, $this->sidespinRpm * self::RPM_IN_RAD_S],
        );
    }

    public function window(): ServeWindow
    {
        return new ServeWindow($this->ball, $this->air, $this->release(0.0), $this->seen());
    }
}
