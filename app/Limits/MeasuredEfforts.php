<?php

declare(strict_types=1);

namespace App\Limits;

use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\HonestEffort;
use Illuminate\Support\Facades\DB;

/** The efforts that were asked for beside those the measurements imply. */
final class MeasuredEfforts
{
    public function __construct(private readonly Library $library) {}

    /** @return array<string, list<array{float, float}>> effort asked and effort implied, 0 to 1, of each measured set, by skill */
    public function of(string $athlete, AthleteProfile $profile, Day $on): array
    {
        $pairs = [];
        $sets = DB::table('work_sets')
            ->where('athlete_id', $athlete)
            ->where('day', '>', $on->plus(-HonestEffort::DAYS)->iso())
            ->whereNotNull('effort')
            ->where('implement', '!=', 'shadow')
            ->get(['skill', 'effort', 'distance_m', 'speed_ms']);
        foreach ($sets as $set) {
            $longest = $this->library->skills()[$set->skill]->family === Family::Throw
                ? ($profile->longestThrowM[$set->skill] ?? null)
                : null;
            $reference = $profile->referenceSpeedMs[$set->skill] ?? null;
            $implied = HonestEffort::implied(
                $set->speed_ms === null || $reference === null ? null : $set->speed_ms / $reference,
                $set->distance_m === null || $longest === null ? null : $set->distance_m / $longest,
            );
            if ($implied !== null) {
                $pairs[$set->skill][] = [(float) $set->effort, $implied];
            }
        }

        return $pairs;
    }
}
