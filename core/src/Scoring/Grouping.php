<?php

declare(strict_types=1);

namespace Augendo\Core\Scoring;

use Augendo\Core\InvalidValue;
use Augendo\Core\Mechanics\Statistics;

/** Where it landed, against the aim: how far off in the mean, how wide, and which way. Metres; x to the right, y beyond the aim. */
final readonly class Grouping
{
    /** Fewer landing points are not spoken of. */
    public const LEAST_POINTS = 3;

    private const THIRDS_FROM = 6;

    /** Fewer points say little about how large a target would have to be. */
    private const TARGETS_FROM = 10;

    /** How sure the bounds of a radius and of a share are. */
    public const SURE = 0.8;

    private const TARGET_SHARES = [0.5, 0.6, 0.7, 0.8, 0.9];

    /** A tendency is named when the mean is off by more than its standard error this many times. */
    private const TENDENCY_ERRORS = 2.0;

    /**
     * @param  float  $acrossM  mean offset to the right of the aim
     * @param  float  $alongM  mean offset beyond the aim, or above it
     * @param  float  $meanRadialErrorM  mean distance from the aim
     * @param  float  $halfCircleM  radius about the mean point that holds half
     * @param  array{float, float, float}|null  $ellipse  standard deviations along the long and the short axis, and the
     *         angle of the long one from the right, radians; null with fewer than three
     * @param  list<'left'|'right'|'short'|'long'>  $tendency
     * @param  array{self, self}|null  $thirds  the first and the last third, when there are enough
     */
    private function __construct(
        public int $n,
        public float $acrossM,
        public float $alongM,
        public float $meanRadialErrorM,
        public float $halfCircleM,
        public ?array $ellipse,
        public array $tendency,
        public ?array $thirds,
    ) {}

    /**
     * @param  list<array{float, float}>  $points  relative to the aim, in the order they were thrown
     *
     * @throws InvalidValue
     */
    public static function of(array $points, bool $withThirds = true): self
    {
        $n = count($points);
        if ($n === 0) {
            throw new InvalidValue('No landing points: nothing to say about a grouping.');
        }
        [$x, $y] = [array_column($points, 0), array_column($points, 1)];
        [$meanX, $meanY] = [array_sum($x) / $n, array_sum($y) / $n];
        $radial = array_map(fn (array $p): float => hypot($p[0], $p[1]), $points);
        $about = array_map(fn (array $p): float => hypot($p[0] - $meanX, $p[1] - $meanY), $points);
        sort($about);
        $middle = intdiv($n, 2);
        $half = $n % 2 === 1 ? $about[$middle] : ($about[$middle - 1] + $about[$middle]) / 2;
        [$varX, $varY] = [self::variance($x, $meanX), self::variance($y, $meanY)];
        $covariance = $n < 2 ? 0.0 : array_sum(array_map(fn (array $p): float => ($p[0] - $meanX) * ($p[1] - $meanY), $points)) / ($n - 1);
        $off = fn (float $mean, float $variance): bool => $n >= 4
            && abs($mean) > self::TENDENCY_ERRORS * sqrt($variance / $n)
            && abs($mean) > 1e-9;
        $tendency = array_values(array_filter([
            $off($meanX, $varX) ? ($meanX < 0 ? 'left' : 'right') : null,
            $off($meanY, $varY) ? ($meanY < 0 ? 'short' : 'long') : null,
        ]));
        $third = intdiv($n, 3);

        return new self(
            n: $n,
            acrossM: $meanX,
            alongM: $meanY,
            meanRadialErrorM: array_sum($radial) / $n,
            halfCircleM: $half,
            ellipse: $n < 3 ? null : self::axes($varX, $varY, $covariance),
            tendency: $tendency,
            thirds: $withThirds && $n >= self::THIRDS_FROM ? [
                self::of(array_slice($points, 0, $third), false),
                self::of(array_slice($points, -$third), false),
            ] : null,
        );
    }

    /**
     * Half axes of the ellipse that holds the next point with a given chance. The scatter is known from a few points only, so the squared
     * Mahalanobis radius is 2(n² − 1)/(n(n − 2)) × F(share; 2, n − 2): the prediction region of a two-dimensional normal scatter
     * (R. A. Johnson and D. W. Wichern, Applied Multivariate Statistical Analysis, section 5.5).
     * F(p; 2, m) = m/2 × ((1 − p)^(−2/m) − 1).
     *
     * @return array{float, float}|null metres, the long one first
     */
    public function ellipseHolding(float $share): ?array
    {
        if ($this->ellipse === null) {
            return null;
        }
        $m = $this->n - 2;
        $f = $m / 2 * ((1 - $share) ** (-2 / $m) - 1);
        $scale = sqrt(2 * ($this->n ** 2 - 1) / ($this->n * $m) * $f);

        return [$this->ellipse[0] * $scale, $this->ellipse[1] * $scale];
    }

    /**
     * The share that lands in a zone, with its 80 % interval.
     *
     * @param  list<array{float, float}>  $points
     * @param  float  $widthM  of the zone, about the aim
     * @return array{int, float, float, float} how many, the share, and its bounds
     */
    public static function within(array $points, float $widthM, float $depthM): array
    {
        $inside = count(array_filter($points, fn (array $p): bool => abs($p[0]) <= $widthM / 2 + 1e-9 && abs($p[1]) <= $depthM / 2 + 1e-9));
        [$low, $high] = Statistics::wilsonInterval($inside, max(1, count($points)), self::SURE);

        return [$inside, (float) $inside / max(1, count($points)), $low, $high];
    }

    /**
     * How large a target about the aim would have to be to hold a share of them.
     *
     * @param  list<array{float, float}>  $points  relative to the aim
     * @return list<array{float, float, float, float|null}> share, radius in m, and between which bounds it lies with SURE; empty with too
     *         few to tell
     */
    public static function targets(array $points): array
    {
        return count($points) < self::TARGETS_FROM ? [] : array_map(
            fn (float $share): array => [$share, self::radiusHolding($points, $share), ...self::boundsOfRadius($points, $share)],
            self::TARGET_SHARES,
        );
    }

    /**
     * The radius about the aim that a share of the points lies within: the quantile of the radial error, interpolated between order
     * statistics as R. J. Hyndman and Y. Fan, The American Statistician 50 (1996), 361–365, definition 7.
     *
     * @param  non-empty-list<array{float, float}>  $points  metres
     * @param  float  $share  0 to 1
     */
    public static function radiusHolding(array $points, float $share): float
    {
        $radii = array_map(fn (array $point): float => hypot(...$point), $points);
        sort($radii);
        $at = (count($radii) - 1) * $share;
        $below = $radii[(int) floor($at)];

        return $below + ($at - floor($at)) * ($radii[(int) ceil($at)] - $below);
    }

    /**
     * Between which of the radii seen the true one lies, whatever the scatter looks like: of n points a number as the binomial
     * distribution has it lie within the true radius (H. A. David and H. N. Nagaraja, Order Statistics, section 7.1). As much may lie
     * below as above.
     *
     * @param  non-empty-list<array{float, float}>  $points  metres
     * @return array{float, float|null} null above: the farthest one seen bounds nothing
     */
    public static function boundsOfRadius(array $points, float $share): array
    {
        $radii = array_map(fn (array $point): float => hypot(...$point), $points);
        sort($radii);
        $n = count($radii);
        $tail = (1 - self::SURE) / 2;
        [$low, $high] = [0, $n + 1];
        $upTo = 0.0;
        $term = (1 - $share) ** $n;
        for ($within = 0; $within <= $n; $within++) {
            $upTo += $term;
            $low = $upTo <= $tail ? $within + 1 : $low;
            $high = $upTo >= 1 - $tail ? min($high, $within + 1) : $high;
            $term *= ($n - $within) / ($within + 1) * $share / (1 - $share);
        }

        return [$low === 0 ? 0.0 : $radii[$low - 1], $high > $n ? null : $radii[$high - 1]];
    }

    /** @return array{float, float, float} */
    private static function axes(float $varX, float $varY, float $covariance): array
    {
        $middle = ($varX + $varY) / 2;
        $spread = hypot(($varX - $varY) / 2, $covariance);

        return [sqrt(max(0.0, $middle + $spread)), sqrt(max(0.0, $middle - $spread)), 0.5 * atan2(2 * $covariance, $varX - $varY)];
    }

    /** @param  list<float>  $values */
    private static function variance(array $values, float $mean): float
    {
        $n = count($values);

        return $n < 2 ? 0.0 : array_sum(array_map(fn (float $value): float => ($value - $mean) ** 2, $values)) / ($n - 1);
    }
}
