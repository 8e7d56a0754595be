<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Athletes\Squad;
use App\Gates\Placement;
use App\People\User;
use App\Seasons\Answers\FixtureView;
use App\Seasons\Answers\PlannedSessionView;
use App\Seasons\Answers\PlanView;
use App\Seasons\Answers\SeasonRowView;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Illuminate\Support\Facades\DB;

/** What is ahead of a squad: sessions, matches, seasons. */
final class PlanScreen
{
    private const SESSIONS_AHEAD_DAYS = 21;

    public function __construct(private readonly Library $library) {}

    public function view(User $user, Squad $squad): PlanView
    {
        $on = $user->workspace->today();
        $athletes = $user->athletesOf($squad)->get();
        $ids = $athletes->pluck('id')->all();
        $nameOf = $athletes->mapWithKeys(fn (Athlete $athlete): array => [$athlete->id => $athlete->name()])->all();
        $names = $this->library->skillNames();
        $seasons = Season::query()->with('athlete')->whereIn('athlete_id', $ids)->where('state', 'open')->orderBy('goal_on')->get();
        $placed = Placement::standing()->whereIn('athlete_id', $ids)->distinct()->pluck('athlete_id')->all();
        $planned = $seasons->pluck('athlete_id')->all();
        $sessions = DB::table('training_sessions')
            ->where('squad_id', $squad->id)
            ->whereBetween('held_on', [$on->iso(), $on->plus(self::SESSIONS_AHEAD_DAYS)->iso()])
            ->orderBy('held_on')
            ->orderBy('starts_at')
            ->select(['id', 'held_on', 'starts_at', 'title'])
            ->selectSub(
                DB::table('sheets')
                    ->whereColumn('training_session_id', 'training_sessions.id')
                    ->whereIn('athlete_id', $ids)
                    ->selectRaw('count(*)'),
                'sheets',
            )
            ->selectSub(
                DB::table('sheets')
                    ->join('sheet_blocks', 'sheet_blocks.sheet_id', '=', 'sheets.id')
                    ->whereColumn('training_session_id', 'training_sessions.id')
                    ->whereIn('athlete_id', $ids)
                    ->selectRaw('sum(sheet_blocks.reps)'),
                'reps',
            )->get();
        $fixtures = Fixture::query()
            ->where('held_on', '>=', $on->iso())
            ->where('squad_id', $squad->id)
            ->where(fn ($query) => $query->whereNull('athlete_id')->orWhereIn('athlete_id', $ids))
            ->orderBy('held_on')
            ->orderBy('starts_at')
            ->get();

        return new PlanView(
            date: $on->iso(),
            squad: Cards::squad($squad),
            squads: Cards::squads($user),
            sessions: $sessions->map(
                fn (object $row): PlannedSessionView => new PlannedSessionView(
                    id: $row->id,
                    day: substr($row->held_on, 0, 10),
                    starts_at: $row->starts_at,
                    title: $row->title,
                    sheets: (int) $row->sheets,
                    reps: (int) $row->reps,
                ),
            )->all(),
            fixtures: $fixtures->map(fn (Fixture $each): FixtureView => new FixtureView(
                id: $each->id,
                kind: $each->kind,
                day: $each->day()->iso(),
                starts_at: $each->starts_at,
                title: $each->title,
                sentence: implode(
                    ', ',
                    array_map(
                        fn (array $dose): string => "{$dose['reps']} × "
                            .lcfirst($names[$dose['skill']] ?? $dose['skill'])
                            .', '
                            .($dose['felt'] ?? 'effort not known, counted as full'),
                        $each->doses,
                    ),
                ),
                athlete_id: $each->athlete_id,
                athlete_name: $each->athlete_id === null ? null : $nameOf[$each->athlete_id] ?? null,
            ))->all(),
            seasons: $seasons->map(fn (Season $season): SeasonRowView => $this->season($season, $on))->all(),
            working_out: $seasons->where('waiting', true)->count(),
            without: $athletes->filter(
                fn (Athlete $athlete): bool => in_array($athlete->id, $placed, true) && ! in_array($athlete->id, $planned, true),
            )
                ->map(fn (Athlete $athlete) => Cards::athlete($athlete, $on))
                ->values()
                ->all(),
            skills: array_map(fn (string $id): NamedView => new NamedView($id, $names[$id]), array_keys($names)),
        );
    }

    private function season(Season $season, Day $on): SeasonRowView
    {
        $ladder = $this->library->ladder($season->ladder);

        return new SeasonRowView(
            id: $season->id,
            athlete: Cards::athlete($season->athlete, $on),
            ladder_name: $ladder->name,
            goal: $season->goal_rung === null ? null : $ladder->rung($season->goal_rung)?->name,
            goal_on: $season->goalOn()->iso(),
            missed: SeasonScreen::missed($season, $on),
        );
    }
}
