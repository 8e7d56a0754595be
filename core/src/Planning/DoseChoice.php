<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\InvalidValue;
use Augendo\Core\Tolerance;

/**
 * What a planned block may become while it is run: another effort, a pace nearer or back. Limits are held against each
 * choice by who offers it.
 */
final class DoseChoice
{
    private const EFFORT_STEPS = [-0.2, -0.1, 0.1];

    private const PACES = [-2, -1, 1, 2];

    private const LEAST_EFFORT = 0.2;

    private const LEAST_DISTANCE_M = 1.0;

    /**
     * @param  float  $effortCap  what the word of the part the block loads allows, 0 to 1
     * @param  float  $paceM  one pace of whoever steps the distance out, metres
     * @param  bool  $upwards  false for a stage of a return, which goes no further than it says
     * @return non-empty-list<BlockPlan> as planned first
     *
     * @throws InvalidValue
     */
    public static function around(BlockPlan $plan, float $effortCap, float $paceM, bool $upwards): array
    {
        if ($paceM <= 0) {
            throw new InvalidValue('A pace is longer than 0 m.');
        }
        if ($plan->effort <= 0.0 || $plan->asked->skill->loadedChannels() === []) {
            return [$plan];
        }
        $efforts = [$plan->effort];
        foreach (self::steps(self::EFFORT_STEPS, $upwards) as $step) {
            $effort = round($plan->effort + $step, 2);
            if ($effort >= self::LEAST_EFFORT && ! Tolerance::above($effort, $effortCap)) {
                $efforts[] = $effort;
            }
        }
        $distances = [$plan->distanceM];
        foreach ($plan->distanceM === null ? [] : self::steps(self::PACES, $upwards) as $paces) {
            $distance = round($plan->distanceM + $paces * $paceM, 1);
            if ($distance >= self::LEAST_DISTANCE_M) {
                $distances[] = $distance;
            }
        }
        $choices = [];
        foreach ($efforts as $effort) {
            foreach ($distances as $distance) {
                $choices[] = $plan->withEffort($effort)->withDistance($distance);
            }
        }

        return $choices;
    }

    /**
     * @param  list<float|int>  $all
     * @return array<float|int>
     */
    private static function steps(array $all, bool $upwards): array
    {
        return $upwards ? $all : array_filter($all, fn (float|int $step): bool => $step < 0);
    }
}
