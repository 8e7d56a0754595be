<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Athletes\Answers\RosterRowView;
use App\Athletes\Answers\RosterView;
use App\Gates\Placement;
use App\Health\DatedBounds;
use App\People\User;
use App\Wording\AwayWording;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryProblem;
use Illuminate\Support\Facades\DB;

/** Everybody somebody may see: where they train, what they climb, when they last worked. */
final class RosterScreen
{
    /** @var array<string, string> ladder and rung by their ids: the same few over and over */
    private array $stands = [];

    public function __construct(private readonly Library $library) {}

    public function view(User $user): RosterView
    {
        $today = $user->workspace->today();
        $athletes = $user->visibleAthletes()->orderBy('family_name')->orderBy('given_name')->orderBy('id')->get();
        $ids = $athletes->pluck('id')->all();
        $dated = new DatedBounds($ids, $today);
        $squads = DB::table('athlete_squad')->whereIn('athlete_id', $ids)->orderBy('squad_id')->get()->groupBy('athlete_id');
        $placements = Placement::standing()->whereIn('athlete_id', $ids)->orderByDesc('entered_at')->get()->groupBy('athlete_id');
        $last = DB::table('daily_totals')
            ->whereIn('athlete_id', $ids)
            ->groupBy('athlete_id')
            ->selectRaw('athlete_id, max(day) as day')
            ->pluck('day', 'athlete_id');

        return new RosterView($athletes->map(function (Athlete $athlete) use (
            $today, $dated, $squads, $placements, $last,
        ): RosterRowView {
            $away = $dated->away($athlete->id, $today);

            return new RosterRowView(
                id: $athlete->id,
                name: $athlete->name(),
                given_name: $athlete->given_name,
                age: $athlete->ageOn($today),
                throwing_side: $athlete->throwing_side->value,
                squads: collect($squads[$athlete->id] ?? [])->map(fn (object $row): int => (int) $row->squad_id)->values()->all(),
                ladders: collect($placements[$athlete->id] ?? [])
                    ->unique('ladder')
                    ->map(fn (Placement $placement): string => $this->stands($placement))
                    ->values()
                    ->all(),
                last_worked: isset($last[$athlete->id]) ? substr($last[$athlete->id], 0, 10) : null,
                away: $away === null ? null : AwayWording::absence($away, $today),
                restricted: $dated->restrictions($athlete->id, $today, $today) !== [],
                incidents: $dated->openIncidents($athlete->id),
                retired_on: $athlete->retired_on === null ? null : substr($athlete->retired_on, 0, 10),
            );
        })->values()->all(), Cards::squads($user));
    }

    private function stands(Placement $placement): string
    {
        return $this->stands["{$placement->ladder} {$placement->rung}"] ??= $this->inWords($placement);
    }

    private function inWords(Placement $placement): string
    {
        try {
            $ladder = $this->library->ladder($placement->ladder);
        } catch (LibraryProblem) {
            return $placement->ladder;
        }
        $rung = $ladder->rung($placement->rung);

        return $rung === null ? $ladder->name : "{$ladder->name}: {$rung->name}";
    }
}
