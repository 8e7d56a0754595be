<?php

declare(strict_types=1);

namespace Augendo\Core;

/** Bounds are compared with 1e-9 to spare, so that a sum of floats that means the bound is at the bound. */
final class Tolerance
{
    public const BOUND = 1e-9;

    public static function above(float $value, float $bound): bool
    {
        return $value > $bound + self::BOUND;
    }

    public static function atLeast(float $value, float $bound): bool
    {
        return $value >= $bound - self::BOUND;
    }
}
