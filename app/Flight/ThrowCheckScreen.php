<?php

declare(strict_types=1);

namespace App\Flight;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Flight\Answers\ArcView;
use App\Flight\Answers\ThrowCheckView;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Wording\ThrowWording;
use Augendo\Core\Day;
use Augendo\Core\Flight\Air;
use Augendo\Core\Flight\ThrowDemand;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\ThrowReach;

/** How hard is it to throw so far, for this athlete, and how far is easy? */
final class ThrowCheckScreen
{
    /** Thrown and caught at the height of a shoulder. */
    private const RELEASE_M = 1.8;

    public function __construct(private readonly Library $library) {}

    /** @param  array{skill: string, object: string, distance_m: int|float|numeric-string, effort: int|float|numeric-string}  $given */
    public function view(Athlete $athlete, Day $on, array $given): ThrowCheckView
    {
        $skill = $this->library->skills()[$given['skill']] ?? throw new Problem(ProblemType::NotFound, 'There is no such skill.');
        if ($skill->family !== Family::Throw) {
            throw new Problem(ProblemType::NotFound, 'Only a throw asks for a distance.');
        }
        [$far, $effort] = [(float) $given['distance_m'], (float) $given['effort']];
        $profile = (new AthleteDay($athlete, $on))->load->profile;
        $longest = $profile->longestThrowM[$skill->id] ?? null;
        $fastest = $profile->referenceSpeedMs[$skill->id] ?? null;
        $ball = $this->library->balls()[$given['object']] ?? null;
        try {
            $demand = $ball === null ? null : ThrowDemand::of($ball->ball, new Air, self::RELEASE_M, $far, $longest, $fastest);
        } catch (InvalidValue) {
            // No arm sends such a ball so far: what the distance itself says is all there is.
            $demand = null;
        }
        $byDistance = $longest === null ? null : ThrowReach::leastEffort($far, $longest);

        return new ThrowCheckView(
            distance_m: $far,
            longest_m: $longest,
            reference_ms: $demand === null ? null : round($demand->referenceMs, 2),
            measured: $demand !== null && $fastest !== null && $demand->referenceMs <= $fastest + 1e-9,
            least_effort: $demand?->leastEffort() ?? $byDistance,
            by_distance: $byDistance,
            by_speed: $demand?->bySpeed,
            out_of_reach: $demand?->isOutOfReach() ?? ($longest !== null && $far > $longest),
            least_speed_ms: $demand === null ? null : round($demand->least->leastSpeedMs, 2),
            furthest_m: $demand?->furthestM($effort) ?? ($longest === null ? null : ThrowReach::furthestM($effort, $longest)),
            arcs: $demand === null ? [] : self::arcs($demand),
            said: ThrowWording::check($far, $effort, $longest, $fastest, $demand),
            source: $ball?->source,
        );
    }

    /** @return list<ArcView> */
    private static function arcs(ThrowDemand $demand): array
    {
        [$all, $easiest] = [$demand->arcs(), $demand->easiest()];

        return [
            ...($all === null ? [] : [
                ArcView::of('Flattest', $all[0], $demand->referenceMs), ArcView::of('Highest', $all[1], $demand->referenceMs),
            ]),
            ...($easiest === null ? [] : [ArcView::of('Least speed', $easiest, $demand->least->leastSpeedMs)]),
        ];
    }
}
