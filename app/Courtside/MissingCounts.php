<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use Augendo\Core\Day;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Counts that a device holds and has not sent, because who entered them is not signed in on it: what their athletes did is not known. */
final class MissingCounts
{
    /**
     * What a device holds now, in place of what it said before.
     *
     * @param  array<string, int>  $counts  by athlete id; of athletes of another club nothing is kept
     */
    public function tell(string $device, array $counts, User $by): void
    {
        Alone::inClub($by->workspace_id, function () use ($device, $counts, $by): void {
            $ofClub = Athlete::query()->where('workspace_id', $by->workspace_id)->select('id');
            $before = DB::table('missing_counts')
                ->where('device', $device)
                ->whereIn('athlete_id', $ofClub)
                ->pluck('count', 'athlete_id')
                ->map(fn ($count): int => (int) $count)
                ->all();
            $now = array_intersect_key(
                $counts,
                array_flip(
                    Athlete::query()->where('workspace_id', $by->workspace_id)->whereIn('id', array_keys($counts))->pluck('id')->all(),
                ),
            );
            foreach (array_diff_key($before, $now) as $athlete => $_) {
                DB::table('missing_counts')->where('device', $device)->where('athlete_id', $athlete)->delete();
            }
            foreach ($now as $athlete => $count) {
                DB::table('missing_counts')->updateOrInsert(
                    ['device' => $device, 'athlete_id' => $athlete],
                    ['count' => $count, ...(isset($before[$athlete]) ? [] : ['told_by' => $by->id, 'since' => Carbon::now()])],
                );
            }
            $this->refit(
                [...array_keys(array_diff_key($before, $now)), ...array_keys(array_diff_key($now, $before))],
                $by->workspace->today(),
            );
        });
    }

    /** The device is lost, or what is on it will never come: a coach goes on without, and says so. */
    public function giveUp(Athlete $athlete, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $by): void {
            $count = (int) DB::table('missing_counts')->where('athlete_id', $athlete->id)->sum('count');
            DB::table('missing_counts')->where('athlete_id', $athlete->id)->delete();
            Audit::of($by, $athlete, 'missing counts given up', ['count' => $count]);
            $this->refit([$athlete->id], $by->workspace->today());
        });
    }

    /** @return int how many lie on devices */
    public static function of(string $athleteId): int
    {
        return (int) DB::table('missing_counts')->where('athlete_id', $athleteId)->sum('count');
    }

    /** @param  list<string>  $athleteIds */
    private function refit(array $athleteIds, Day $today): void
    {
        AthletesChanged::many($athleteIds, $today);
    }
}
