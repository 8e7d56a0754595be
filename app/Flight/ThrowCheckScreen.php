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
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Family;

/** How hard is it to throw so far, for this athlete, and how far is easy? */
final class ThrowCheckScreen
{
    public function __construct(private readonly Library $library, private readonly FlightTables $tables) {}

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
        $ball = $this->tables->balls($athlete->workspace_id)[$given['object']] ?? null;
        $demand = ThrowDemand::of($ball?->ball, new Air, $far, $longest, $fastest);

        return new ThrowCheckView(
            distance_m: $far,
            longest_m: $longest,
            reference_ms: $demand?->referenceMs === null ? null : round($demand->referenceMs, 2),
            measured: $demand?->referenceMs !== null && $demand->referenceMs === $fastest,
            least_effort: $demand?->leastEffort(),
            by_distance: $demand?->byDistance,
            by_speed: $demand?->bySpeed,
            out_of_reach: $demand?->isOutOfReach() === true,
            least_speed_ms: $demand?->least === null ? null : round($demand->least->leastSpeedMs, 2),
            furthest_m: $demand?->furthestM($effort),
            arcs: $demand === null ? [] : self::arcs($demand),
            said: ThrowWording::check($far, $effort, $fastest, $demand),
            source: $ball?->source,
        );
    }

    /** @return list<ArcView> */
    private static function arcs(ThrowDemand $demand): array
    {
        $full = $demand->arcs();
        $easiest = $demand->easiest();

        return [
            ...($full === null ? [] : [
                ArcView::of('Flattest', $full['flattest'], (float) $demand->referenceMs),
                ArcView::of('Highest', $full['highest'], (float) $demand->referenceMs),
            ]),
            ...($easiest === null ? [] : [ArcView::of('Least speed', $easiest, (float) $demand->least?->leastSpeedMs)]),
        ];
    }
}
