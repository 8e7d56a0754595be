<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/**
 * What a distance asks for at least, and how far an effort goes at most, by the longest throw on record: a throw to 30 m of 33 is no
 * easy one, however it is called. By distance alone, without air (see SetCost): with air the speed of a distance short of the longest
 * asks for less than that, never for more, so this is the larger of the two and the one that refuses.
 */
final class ThrowReach
{
    /** Nobody paces finer; nothing is refused for less. */
    private const PACED_M = 0.25;

    public const LEAST_M = 1.0;

    /** An effort is said in steps of five of a hundred: half of one is the same. */
    private const SAME_EFFORT = 0.025;

    /**
     * Of a share of the longest throw, for whoever reads a dose or a stage.
     *
     * @param  float  $share  0 to 1
     * @return string|null why such an effort cannot be meant; null: it reaches
     */
    public static function refusesShare(float $effort, float $share): ?string
    {
        $least = self::leastEffort($share, 1.0);

        return $least <= $effort + self::SAME_EFFORT ? null : 'That is no easy throw: '.round(100 * $share)
            .' % of the longest asks for at least '.ceil(100 * $least - 1e-6).' % effort, not '.round(100 * $effort)
            .' %. Throw nearer, or ask for more.';
    }

    /** @return float the least effort as it is felt, 0 to 1: also of what is further than the longest */
    public static function leastEffort(float $distanceM, float $longestM): float
    {
        return EffortCurve::Perceived->effortOf(min(1.0, $distanceM / $longestM));
    }

    /** @return float metres in halves, as they can be paced */
    public static function furthestM(float $effort, float $longestM): float
    {
        return max(self::LEAST_M, floor(2 * EffortCurve::Perceived->stressShare($effort) * $longestM + 1e-9) / 2);
    }

    /** Whether such an effort reaches so far. */
    public static function reaches(float $effort, float $distanceM, float $longestM): bool
    {
        return $distanceM <= max(self::LEAST_M, EffortCurve::Perceived->stressShare($effort) * $longestM) + self::PACED_M;
    }
}
