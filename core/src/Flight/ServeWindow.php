<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\Mechanics\Statistics;

/** The angles at which a serve clears the net and comes down in the box, and the share of an athlete's serves that leave within them. */
final readonly class ServeWindow
{
    private const LOWEST_DEG = -25.0;

    private const HIGHEST_START_DEG = 60.0;

    private const STEEPEST_DEG = 90.0;

    private const SCAN_DEG = 0.5;

    private const REFINED_DEG = 1e-6;

    private const REFINED_M = 1e-7;

    private const MOST_TRIES = 60;

    /** Nobody serves further past an aim. */
    private const WIDEST_DEG = 60.0;

    private const ACROSS_DEG = 0.01;

    /** Beyond so many standard deviations there is less than a millionth. */
    private const REACH_SD = 5.0;

    private const AZIMUTHS = 20;

    /** A flat serve, a lifted one and a lob. */
    private const PROVEN_AT_DEG = [0.0, 20.0, 50.0];

    /** Nodes and weights of the Gauss-Legendre rule of eight points: M. Abramowitz and I. A. Stegun, table 25.4. */
    private const GAUSS = [
        [0.1834346424956498, 0.3626837833783620], [0.5255324099163290, 0.3137066458778873],
        [0.7966664774136267, 0.2223810344533745], [0.9602898564975363, 0.1012285362903763],
    ];

    private float $step;

    /** @param  Release  $release  its elevation is not looked at */
    public function __construct(
        private Ball $ball,
        private Air $air,
        private Release $release,
        private Court $court,
    ) {
        $this->step = min(array_map(
            fn (float $elevation): float => Trajectory::provenStep($ball, $air, $release->towards($elevation), $ball->radiusM()),
            self::PROVEN_AT_DEG,
        ));
    }

    /**
     * The lowest elevation from −25° to 60° that clears the net and is not short, and the end of the unbroken run above it that does so
     * and is not long. The side lines are not looked at.
     *
     * @return array{float, float}|null degrees; null when there is none
     */
    public function elevations(?float $azimuthDeg = null): ?array
    {
        $azimuthDeg ??= $this->release->azimuthDeg;
        $scans = (int) round((self::HIGHEST_START_DEG - self::LOWEST_DEG) / self::SCAN_DEG);
        for ($i = 0; $i <= $scans; $i++) {
            $elevation = self::LOWEST_DEG + $i * self::SCAN_DEG;
            if ($this->reach($elevation, $azimuthDeg) >= 0.0) {
                $low = $i === 0 ? $elevation : $this->edge($elevation, $elevation - self::SCAN_DEG, $azimuthDeg, $this->reach(...));
                $high = $this->endOfRun($low, $elevation, $azimuthDeg);

                return $high === null ? null : [$low, $high];
            }
        }

        return null;
    }

    /**
     * At which azimuths a serve comes down on the side lines, from that of the release on.
     *
     * @param  float  $elevationDeg  of one that is in
     * @return array{float, float}|null degrees, the right line first; null when it is not followed to the ground
     */
    public function azimuths(float $elevationDeg): ?array
    {
        $off = function (float $azimuthDeg, float $lineM) use ($elevationDeg): float {
            $across = $this->fly($elevationDeg, $azimuthDeg)->landing?->acrossM;

            return $across === null ? NAN : $across - $lineM;
        };
        $edges = [];
        foreach ([$this->court->rightM, $this->court->leftM] as $lineM) {
            [$low, $high] = [$this->release->azimuthDeg - self::WIDEST_DEG, $this->release->azimuthDeg + self::WIDEST_DEG];
            if (! ($off($low, $lineM) < 0.0) || ! ($off($high, $lineM) > 0.0)) {
                return null;
            }
            while ($high - $low > self::ACROSS_DEG) {
                $middle = ($low + $high) / 2;
                if ($off($middle, $lineM) < 0.0) {
                    $low = $middle;
                } else {
                    $high = $middle;
                }
            }
            $edges[] = ($low + $high) / 2 - $this->release->azimuthDeg;
        }

        return [$edges[0], $edges[1]];
    }

    /** @return float 0 to 1: the share of serves with such a scatter that are in */
    public function shareIn(Scatter $scatter): float
    {
        $mean = $this->release->azimuthDeg + $scatter->meanAcrossDeg;
        $reach = self::REACH_SD * $scatter->acrossDeg;
        $from = $mean - $reach;
        $width = 2 * $reach / self::AZIMUTHS;
        $known = null;
        $share = 0.0;
        $before = null;
        for ($i = 0; $i <= self::AZIMUTHS; $i++) {
            $azimuth = $from + $i * $width;
            $window = $this->inside($azimuth, $known);
            $known = $window ?? $known;
            if ($i > 0) {
                $share += $this->overPiece($scatter, $mean, [$azimuth - $width, $before], [$azimuth, $window]);
            }
            $before = $window;
        }

        return min(1.0, $share);
    }

    /**
     * Integral over one stretch of azimuths. Where the serve is in at one end alone, the place at which it goes out is found first, so that
     * what is integrated is smooth.
     *
     * @param  array{float, array{float, float}|null}  $from  azimuth in degrees, and the window there
     * @param  array{float, array{float, float}|null}  $to
     */
    private function overPiece(Scatter $scatter, float $mean, array $from, array $to): float
    {
        [[$low, $atLow], [$high, $atHigh]] = [$from, $to];
        $known = $atLow ?? $atHigh;
        if ($known === null) {
            return 0.0;
        }
        if ($atLow === null || $atHigh === null) {
            [$in, $out] = $atLow === null ? [$high, $low] : [$low, $high];
            $edge = $this->edgeAcross($in, $out, $known);
            [$low, $high] = $atLow === null ? [$edge, $high] : [$low, $edge];
        }
        [$middle, $half] = [($low + $high) / 2, ($high - $low) / 2];
        $sum = 0.0;
        foreach (self::GAUSS as [$node, $weight]) {
            foreach ([-$node, $node] as $at) {
                $azimuth = $middle + $half * $at;
                $window = $this->inside($azimuth, $known);
                $sum += $weight * $this->density($scatter, $azimuth - $mean) * $this->upright($scatter, $window);
            }
        }

        return $sum * $half;
    }

    private function density(Scatter $scatter, float $offDeg): float
    {
        return exp(-0.5 * ($offDeg / $scatter->acrossDeg) ** 2) / ($scatter->acrossDeg * sqrt(2 * M_PI));
    }

    /** @param  array{float, float}|null  $window */
    private function upright(Scatter $scatter, ?array $window): float
    {
        if ($window === null) {
            return 0.0;
        }
        [$low, $high] = array_map(
            fn (float $edge): float => Statistics::normalShare(($edge - $scatter->aimElevationDeg) / $scatter->elevationDeg),
            $window,
        );

        return $high - $low;
    }

    /**
     * The window at an azimuth, if a serve through its middle comes down between the side lines.
     *
     * @param  array{float, float}|null  $near  the window of an azimuth near by, where it is looked for first
     * @return array{float, float}|null
     */
    private function inside(float $azimuthDeg, ?array $near): ?array
    {
        $window = ($near === null ? null : $this->follow($azimuthDeg, $near)) ?? $this->elevations($azimuthDeg);
        if ($window === null) {
            return null;
        }
        $across = $this->fly(($window[0] + $window[1]) / 2, $azimuthDeg)->landing?->acrossM;

        return $across !== null && $across >= $this->court->rightM && $across <= $this->court->leftM ? $window : null;
    }

    /**
     * The window near one that is known; null where it has to be looked for from below.
     *
     * @param  array{float, float}  $near
     * @return array{float, float}|null
     */
    private function follow(float $azimuthDeg, array $near): ?array
    {
        [$low, $high] = $near;
        $reach = min(self::SCAN_DEG, ($high - $low) / 3);
        $isIn = fn (float $elevation): bool => $this->room($elevation, $azimuthDeg) >= 0.0;
        if ($this->reach($low - $reach, $azimuthDeg) >= 0.0 || ! $isIn($low + $reach) || ! $isIn($high - $reach) || $isIn($high + $reach)) {
            return null;
        }

        return [
            $this->edge($low + $reach, $low - $reach, $azimuthDeg, $this->reach(...)),
            $this->edge($high - $reach, $high + $reach, $azimuthDeg, $this->room(...)),
        ];
    }

    /** @param  array{float, float}  $known */
    private function edgeAcross(float $in, float $out, array $known): float
    {
        while (abs($out - $in) > 1e-3) {
            $middle = ($in + $out) / 2;
            $window = $this->inside($middle, $known);
            if ($window !== null) {
                [$in, $known] = [$middle, $window];
            } else {
                $out = $middle;
            }
        }

        return $in;
    }

    /** @return float|null the highest elevation up to which none is out; null when the lowest is long already */
    private function endOfRun(float $low, float $scanned, float $azimuthDeg): ?float
    {
        if ($this->room($low, $azimuthDeg) < 0.0) {
            return null;
        }
        $in = $low;
        for ($next = $scanned; $next <= self::STEEPEST_DEG; $next += self::SCAN_DEG) {
            if ($this->room($next, $azimuthDeg) < 0.0) {
                return $this->edge($in, $next, $azimuthDeg, $this->room(...));
            }
            $in = $next;
        }

        return self::STEEPEST_DEG;
    }

    /**
     * Where a margin is used up, by false position (Illinois rule): the last elevation at which there is one.
     *
     * @param  float  $yes  an elevation with a margin
     * @param  float  $no  one without
     * @param  callable(float, float): float  $margin  of elevation and azimuth
     */
    private function edge(float $yes, float $no, float $azimuthDeg, callable $margin): float
    {
        [$over, $under] = [$margin($yes, $azimuthDeg), $margin($no, $azimuthDeg)];
        $last = 0;
        for ($i = 0; $i < self::MOST_TRIES && abs($no - $yes) > self::REFINED_DEG; $i++) {
            $share = min(max($over / ($over - $under), 0.01), 0.99);
            $between = $yes + ($no - $yes) * $share;
            $left = $margin($between, $azimuthDeg);
            if ($left >= 0.0) {
                [$yes, $over, $under, $last] = [$between, $left, $last === 1 ? $under / 2 : $under, 1];
            } else {
                [$no, $under, $over, $last] = [$between, $left, $last === -1 ? $over / 2 : $over, -1];
            }
            if ($left >= 0.0 && $left < self::REFINED_M) {
                break;
            }
        }

        return $yes;
    }

    /** @return float how much further down or nearer it might go and still pass over the net and not be short, m; below 0: it does not */
    private function reach(float $elevationDeg, float $azimuthDeg): float
    {
        return $this->reachOf($this->fly($elevationDeg, $azimuthDeg));
    }

    /** @return float the same, and how much further than it lands the box ends */
    private function room(float $elevationDeg, float $azimuthDeg): float
    {
        $flight = $this->fly($elevationDeg, $azimuthDeg);

        return min($this->reachOf($flight), $this->court->farM - ($flight->landing->rangeM ?? INF));
    }

    private function reachOf(Trajectory $flight): float
    {
        $range = $flight->landing?->rangeM;
        if ($range === null) {
            return -1.0;
        }
        $height = $flight->heightAtM($this->court->netM);

        return $height === null
            ? min($range - $this->court->netM, -self::REFINED_M)
            : min($range - $this->court->nearM, $height - $this->court->netHeightM - $this->ball->radiusM());
    }

    private function fly(float $elevationDeg, float $azimuthDeg): Trajectory
    {
        $elevationDeg = max(-self::STEEPEST_DEG, min(self::STEEPEST_DEG, $elevationDeg));

        return Trajectory::of(
            $this->ball, $this->air, $this->release->towards($elevationDeg, $azimuthDeg), $this->ball->radiusM(), $this->step,
        );
    }
}
