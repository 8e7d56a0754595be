<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Athletes\Intake;
use App\Athletes\Squad;
use App\Film\AskedClips;
use App\Limits\CarriedLoads;
use App\People\Workspace;
use App\Records\Alone;
use App\Seasons\FollowSessions;
use App\Seasons\WeeksElsewhere;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;

/**
 * A club's day has begun: its sheets are fitted to it and the rows of Today worked out, before anybody looks. It comes after every
 * midnight of the club; coming twice, or late, it finds nothing left to do.
 */
final class FitTheDay implements ShouldQueue
{
    use Dispatchable, Queueable;

    public function __construct(public readonly int $workspaceId) {}

    public function handle(CarriedLoads $carried, Intake $intake, WeeksElsewhere $elsewhere): void
    {
        $workspace = Workspace::query()->find($this->workspaceId);
        if ($workspace === null) {
            return;
        }
        $athletes = Athlete::query()->where('workspace_id', $workspace->id)->whereNull('erased_at')->get();
        $ids = $athletes->pluck('id')->all();
        $elsewhere->settle($ids, $workspace->today());
        PickUps::forget($ids, $workspace->today());
        AskedClips::forget($ids);
        foreach ($athletes as $athlete) {
            Alone::with($athlete->id, fn () => $intake->declareAgain($athlete, $workspace->today()));
            $carried->carry($athlete, $workspace->today());
        }
        MakeSheets::ofDaysComeNear($workspace->id);
        FollowSessions::ofAthletes($ids, $workspace->today());
        foreach (Sheet::waiting($ids, $workspace->today())->distinct()->pluck('athlete_id') as $id) {
            RefitSheets::dispatch($id);
        }
        foreach (Squad::query()->where('workspace_id', $workspace->id)->pluck('id') as $squadId) {
            KeepRows::dispatch($squadId);
        }
    }
}
