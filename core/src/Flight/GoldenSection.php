<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

/** Where a function with one lowest place is lowest: J. Kiefer, Proceedings of the AMS 4 (1953), 502–506. */
final class GoldenSection
{
    /** (√5 − 1)/2: the share that is kept of a bracket. */
    private const KEPT = 0.618033988749895;

    /**
     * @param  callable(float): float  $of  with one lowest place between low and high
     * @return array{float, float} the place and its value
     */
    public static function lowest(callable $of, float $low, float $high, float $within): array
    {
        $one = $high - self::KEPT * ($high - $low);
        $other = $low + self::KEPT * ($high - $low);
        [$atOne, $atOther] = [$of($one), $of($other)];
        while ($high - $low > $within) {
            if ($atOne <= $atOther) {
                [$high, $other, $atOther] = [$other, $one, $atOne];
                $one = $high - self::KEPT * ($high - $low);
                $atOne = $of($one);
            } else {
                [$low, $one, $atOne] = [$one, $other, $atOther];
                $other = $low + self::KEPT * ($high - $low);
                $atOther = $of($other);
            }
        }

        return $atOne <= $atOther ? [$one, $atOne] : [$other, $atOther];
    }
}
