<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

use Augendo\Core\Day;

/**
 * What a person's measurements come to. One that lies far off the others is doubted until somebody says that it is right; until then the
 * safer value counts: of longest throws the shorter, of reference speeds the lower.
 */
final class Marks
{
    /** A longest throw older than this says little of today. */
    public const HOLDS_DAYS = 200;

    /** A throw or a speed outside these shares of the best known is asked about. */
    private const ORDINARY = [0.6, 1.25];

    /** What a height may differ by, beyond how fast anybody grows. */
    private const HEIGHT_ERROR_CM = 2.0;

    private const FASTEST_GROWTH_CM_A_MONTH = 1.8;

    private const DAYS_A_MONTH = 30.4375;

    /**
     * @param  list<array{Day, float, bool}>  $throwsM  day, metres, and whether it is doubted
     * @param  Day|null  $grewSince  what was measured before this day was measured on a shorter body; null when nobody grew fast
     * @return array{float, bool}|null metres, and whether it has lapsed: then every throw counts as full until one is
     *         measured again; null without any
     */
    public static function longestThrowM(array $throwsM, Day $on, ?Day $grewSince): ?array
    {
        $all = array_values(array_filter($throwsM, fn (array $mark): bool => ! $mark[0]->isAfter($on)));
        $holding = array_values(array_filter($all, fn (array $mark): bool => self::holds($mark[0], $on, $grewSince)));
        if ($all === []) {
            return null;
        }
        $of = $holding === [] ? $all : $holding;
        $sure = array_column(array_filter($of, fn (array $mark): bool => ! $mark[2]), 1);
        $doubted = array_column(array_filter($of, fn (array $mark): bool => $mark[2]), 1);

        return [min([$sure === [] ? INF : max($sure), ...$doubted]), $holding === []];
    }

    /** @param  Day|null  $grewSince  what was measured before this day was measured on a shorter body; null when nobody grew fast */
    public static function holds(Day $measured, Day $on, ?Day $grewSince): bool
    {
        return $on->daysSince($measured) <= self::HOLDS_DAYS && ($grewSince === null || ! $grewSince->isAfter($measured));
    }

    /**
     * @param  list<array{Day, float, bool}>  $speedsMs  oldest first
     * @return float|null the latest that is not doubted, or a lower one that is
     */
    public static function referenceSpeedMs(array $speedsMs, Day $on): ?float
    {
        $all = array_values(array_filter($speedsMs, fn (array $mark): bool => ! $mark[0]->isAfter($on)));
        $sure = array_column(array_values(array_filter($all, fn (array $mark): bool => ! $mark[2])), 1);
        $values = [...array_slice($sure, -1), ...array_column(array_filter($all, fn (array $mark): bool => $mark[2]), 1)];

        return $values === [] ? null : min($values);
    }

    /**
     * Whether a throw or a speed lies so far off the best one known that it is asked about.
     *
     * @param  list<float>  $others
     */
    public static function isFarOff(float $value, array $others): bool
    {
        return $others !== [] && ($value < self::ORDINARY[0] * max($others) || $value > self::ORDINARY[1] * max($others));
    }

    /**
     * Whether a height lies further off one of the others than anybody grows, or shrinks, between the two days.
     *
     * @param  list<array{Day, float}>  $others
     */
    public static function isHeightFarOff(Day $day, float $cm, array $others): bool
    {
        foreach ($others as [$other, $otherCm]) {
            $days = $day->daysSince($other);
            $grown = $days < 0 ? $otherCm - $cm : $cm - $otherCm;
            $most = self::HEIGHT_ERROR_CM + self::FASTEST_GROWTH_CM_A_MONTH * abs($days) / self::DAYS_A_MONTH;
            if ($grown > $most || $grown < -self::HEIGHT_ERROR_CM) {
                return true;
            }
        }

        return false;
    }
}
