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
            $on->iso(), Cards::squad($squad), Cards::squads($user),
            $sessions->map(
                fn (object $row): PlannedSessionView => new PlannedSessionView(
                    $row->id, substr($row->held_on, 0, 10), $row->starts_at, $row->title, (int) $row->sheets,
                    (int) $row->reps,
                ),
            )->all(),
            $fixtures->map(fn (Fixture $each): FixtureView => new FixtureView(
                $each->id, $each->kind, $each->day()->iso(), $each->starts_at, $each->title,
                implode(
                    ', ',
                    array_map(
                        fn (array $dose): string => "{$dose['reps']} × "
                            .lcfirst($names[$dose['skill']] ?? $dose['skill'])
                            .', '
                            .($dose['felt'] ?? 'effort not known, counted as full'),
                        $each->doses,
                    ),
                ),
                $each->athlete_id, $each->athlete_id === null ? null : $nameOf[$each->athlete_id] ?? null,
            ))->all(),
            $seasons->map(fn (Season $season): SeasonRowView => $this->season($season, $on))->all(),
            $seasons->where('waiting', true)->count(),
            $athletes->filter(
                fn (Athlete $athlete): bool => in_array($athlete->id, $placed, true) && ! in_array($athlete->id, $planned, true),
            )
                ->map(fn (Athlete $athlete) => Cards::athlete($athlete, $on))
                ->values()
                ->all(),
            array_map(fn (string $id): NamedView => new NamedView($id, $names[$id]), array_keys($names)),
        );
    }

    private function season(Season $season, Day $on): SeasonRowView
    {
        $ladder = $this->library->ladder($season->ladder);

        return new SeasonRowView(
            $season->id, Cards::athlete($season->athlete, $on), $ladder->name,
            $season->goal_rung === null ? null : $ladder->rung($season->goal_rung)?->name, $season->goalOn()->iso(),
            SeasonScreen::missed($season, $on),
        );
    }
}
