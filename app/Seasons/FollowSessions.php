<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Http\Problem;
use Augendo\Core\Day;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;

/**
 * A season follows the sessions of the squad, and time: its next two weeks are put on the calendar anew. What was agreed to stays as it
 * was agreed. Doing it twice changes nothing.
 */
final class FollowSessions implements ShouldQueue
{
    use Dispatchable, Queueable;

    public int $tries = 3;

    public int $timeout = 60;

    public function __construct(public readonly string $seasonId) {}

    /**
     * The open seasons of athletes, once what is being changed is kept.
     *
     * @param  list<string>  $ids
     * @param  Day|null  $today  only those that were not followed today yet; null: all
     */
    public static function ofAthletes(array $ids, ?Day $today = null): void
    {
        $open = Season::query()->whereIn('athlete_id', $ids)->where('state', 'open')->where('waiting', false);
        if ($today !== null) {
            $open->where('goal_on', '>=', $today->iso())
                ->where(fn ($due) => $due->whereNull('followed_on')->orWhere('followed_on', '<', $today->iso()));
        }
        foreach ($open->pluck('id') as $id) {
            self::dispatch($id)->afterCommit();
        }
    }

    /** The other open seasons of its athlete, which are planned around it, once what is being changed is kept. */
    public static function ofOthers(Season $season): void
    {
        foreach (Season::openOf($season->athlete)->whereKeyNot($season->id)->where('waiting', false)->pluck('id') as $id) {
            self::dispatch($id)->afterCommit();
        }
    }

    public function handle(Seasons $seasons): void
    {
        $season = Season::query()->with('athlete', 'squad.workspace')->find($this->seasonId);
        if ($season === null) {
            return;
        }
        try {
            $seasons->follow($season);
        } catch (Problem) {
            // Off the ladder meanwhile: there is nothing to put on the calendar, and the page of the season says why.
            $season->update(['followed_on' => $season->squad->workspace->today()->iso()]);
        }
    }
}
