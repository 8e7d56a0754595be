<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Records\AthletesChanged;
use Illuminate\Support\Facades\DB;

/**
 * What follows a change of athletes. In the same transaction their revision rises, so that no row of Today that was kept before is
 * shown again, and plans are marked, so that nobody is shown more than holds now. Once that is kept, outside its write lock, the plans
 * are fitted: whatever interrupts it, the marks stay, and the next run finds them.
 */
final class FollowChange
{
    public function handle(AthletesChanged $change): void
    {
        Athlete::query()->whereIn('id', $change->athleteIds)->increment('revision');
        if ($change->plansFrom === null) {
            return;
        }
        $planned = fn () => DB::table('sheets')
            ->whereIn('athlete_id', $change->athleteIds)
            ->where('held_on', '>=', $change->plansFrom->iso())
            ->where('state', 'planned')
            ->where('edited', false);
        if ($planned()->update(['stale' => true]) === 0) {
            return;
        }
        $concerned = $planned()->distinct()->pluck('athlete_id')->all();
        DB::afterCommit(function () use ($concerned, $change): void {
            foreach ($concerned as $id) {
                $change->atOnce ? RefitPlans::ofAthlete($id) : RefitSheets::dispatch($id);
            }
        });
    }
}
