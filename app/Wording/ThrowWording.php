<?php

declare(strict_types=1);

namespace App\Wording;

use Augendo\Core\Flight\ThrowDemand;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\ThrowReach;
use Augendo\Core\Planning\BlockPlan;

/** What a distance asks of whoever throws it, in words. */
final class ThrowWording
{
    /** Why a throw may not be called as easy as it is, and the two ways out. */
    public static function tooEasy(BlockPlan $plan, SetCost $price): string
    {
        [$skill, $object] = [$plan->asked->skill, $plan->asked->object->id];
        [$far, $reach] = [(float) $plan->distanceM, (float) $price->reachM($skill, $object)];
        $most = (float) $price->furthestM($skill, $object, $plan->effort);
        $asks = Wording::number($far).' m asks for at least '.self::least($far, $reach);
        $shown = $price->longestThrowM($skill) === null
            ? 'the fastest throw carries '.Wording::number(round($reach, 1)).' m'
            : 'longest throw '.Wording::number($reach).' m';

        return "{$asks} ({$shown}): this is no throw at ".Wording::percent($plan->effort)
            .'. Throw from '.Wording::number($most).' m or nearer, or ask for more.';
    }

    /** Beside a dose; null where nothing is thrown to a distance. */
    public static function asks(BlockPlan $plan, SetCost $price): ?string
    {
        $dose = $plan->asked;
        if ($dose->skill->family !== Family::Throw || $plan->distanceM === null || $plan->reps === 0) {
            return null;
        }
        $far = Wording::number($plan->distanceM).' m';
        $reach = $price->reachM($dose->skill, $dose->object->id);

        return $reach === null
            ? "What {$far} asks: no longest throw on record."
            : "{$far} asks for at least ".self::least($plan->distanceM, $reach).'.';
    }

    /** What it comes to: how hard it is at least, by which of the two, and how far the asked effort goes. */
    public static function check(float $farM, float $effort, ?float $fastestMs, ?ThrowDemand $demand): string
    {
        if ($demand === null) {
            return 'Nothing on record says how far or how fast this is thrown: test it first. Until then no distance is called easy.';
        }
        $far = Wording::number($farM).' m';
        $shown = implode(' and ', array_filter([
            $demand->longestM === null ? null : 'the longest throw, '.Wording::number($demand->longestM).' m',
            $demand->referenceMs === null || $fastestMs === null
                ? null
                : 'the fastest, '.Wording::number(round($demand->referenceMs, 1)).' m/s',
        ]));
        if ($demand->isOutOfReach()) {
            return "{$far} is further than anything on record ({$shown}): this is a test, not an exercise.";
        }
        $by = $demand->byDistance === null || $demand->bySpeed === null
            ? ''
            : ', by the '.($demand->isDecidedByDistance() ? 'distance' : 'speed').', the larger of the two';

        return "{$far} asks for at least ".self::atLeast($demand->leastEffort())." of what is on record ({$shown}){$by}. "
            .Wording::percent($effort).' goes to '.Wording::number($demand->furthestM($effort)).' m.';
    }

    /** Never rounded down: what is asked for is at least that. */
    public static function least(float $distanceM, float $longestM): string
    {
        return self::atLeast(ThrowReach::leastEffort($distanceM, $longestM));
    }

    private static function atLeast(float $effort): string
    {
        return Wording::number(ceil(100 * $effort - 1e-6)).' %';
    }
}
