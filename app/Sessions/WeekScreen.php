<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Athletes\AthletesDay;
use App\Athletes\Cards;
use App\Athletes\Squad;
use App\People\User;
use App\Seasons\Answers\FixtureView;
use App\Seasons\FixtureAnswers;
use App\Sessions\Answers\WeekDayView;
use App\Sessions\Answers\WeekRowView;
use App\Sessions\Answers\WeekSessionView;
use App\Sessions\Answers\WeekSheetView;
use App\Sessions\Answers\WeekView;
use App\Wording\AwayWording;
use Augendo\Core\Day;
use Augendo\Core\Limits\DatedLimits;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Measure;
use Augendo\Core\Planning\WeeklyDays;
use Illuminate\Support\Facades\DB;

/** The week of a squad on one page: who does what when, who is away, and what stops each first. */
final class WeekScreen
{
    private const DAYS = 7;

    public function __construct(private readonly FixtureAnswers $fixtures) {}

    /** @param  Day|null  $in  any day of the week; null: this week */
    public function view(User $user, Squad $squad, ?Day $in): WeekView
    {
        $today = $user->workspace->today();
        $monday = WeeklyDays::monday($in ?? $today);
        $sunday = $monday->plus(self::DAYS - 1);
        $athletes = $user->athletesOf($squad)->get();
        $fixtures = $this->fixtures->between($squad, $athletes, $monday, $sunday);
        $sheets = $this->sheets($athletes->pluck('id')->all(), $monday, $sunday);
        $day = $athletes->isEmpty() ? null : new AthletesDay($athletes->all(), $squad, $today);

        return new WeekView(
            date: $today->iso(),
            monday: $monday->iso(),
            squad: Cards::squad($squad),
            squads: Cards::squads($user),
            sessions: $this->sessions($squad, $monday, $sunday, $today),
            rows: $day === null ? [] : $athletes->map(
                fn (Athlete $athlete): WeekRowView => $this->row($athlete, $day, $monday, $sheets[$athlete->id] ?? [], $fixtures),
            )->all(),
        );
    }

    /**
     * @param  array<string, list<WeekSheetView>>  $sheets  by day
     * @param  list<FixtureView>  $fixtures
     */
    private function row(Athlete $athlete, AthletesDay $day, Day $monday, array $sheets, array $fixtures): WeekRowView
    {
        $load = $day->loads[$athlete->id];
        $limits = $day->limits($athlete);
        $dated = $day->health->dated;
        $record = $load->record;
        $days = [];
        $planned = [];
        foreach ($load->plans as $set) {
            $planned[$set->day][] = $set;
        }
        // What is planned before the week belongs to every window that looks back into it.
        for ($ordinal = $day->on->ordinal; $ordinal < $monday->ordinal; $ordinal++) {
            $record = $record->with($planned[$ordinal] ?? []);
        }
        for ($nth = 0; $nth < self::DAYS; $nth++) {
            $on = $monday->plus($nth);
            $plan = $day->on->isAfter($on) ? [] : $planned[$on->ordinal] ?? [];
            $board = $limits->board($on, $record);
            $then = self::fullest($board->states($plan), $plan);
            $away = $dated->away($athlete->id, $on);
            $mine = array_filter(
                $fixtures,
                fn (FixtureView $each): bool => $each->day === $on->iso()
                    && ($each->athlete_id === null || $each->athlete_id === $athlete->id),
            );
            $titles = fn (string $kind): array => array_values(array_map(
                fn (FixtureView $each): string => "{$each->starts_at} {$each->title}",
                array_filter($mine, fn (FixtureView $each): bool => $each->kind === $kind),
            ));
            $days[] = new WeekDayView(
                day: $on->iso(),
                sheets: $sheets[$on->iso()] ?? [],
                matches: $titles('match'),
                elsewhere: $titles('elsewhere'),
                beside: $titles('beside'),
                away: $away === null ? null : AwayWording::absence($away, $day->on),
                done_reps: self::reps($load->record->setsOn($on->ordinal)),
                planned_reps: self::reps($plan),
                done_share: $then === null || $then->max === null || $then->max <= 0.0 ? 0.0 : ($then->used ?? 0.0) / $then->max,
                share: $then?->share() ?? 0.0,
                stops_first: $then?->limit->label,
            );
            $record = $record->with($plan);
        }
        $restricted = $dated->restrictions($athlete->id, $monday, $monday->plus(self::DAYS - 1));

        return new WeekRowView(
            athlete: Cards::athlete($athlete, $day->on),
            on_the_way_back: $day->returns->open($athlete->id) !== null,
            restricted: $restricted === [] ? null : implode(' ', array_map(AwayWording::restriction(...), $restricted)),
            days: $days,
        );
    }

    /**
     * The hard limit that stops first; of a day with a plan, of those the plan takes from. Days away and restrictions are said apart.
     *
     * @param  list<LimitState>  $states
     * @param  list<CostedSet>  $plan
     */
    private static function fullest(array $states, array $plan): ?LimitState
    {
        $isTaken = fn (Limit $limit): bool => $plan === []
            || array_filter($plan, fn (CostedSet $set): bool => $limit->touches($set)) !== [];
        $hard = array_filter(
            $states,
            fn (LimitState $state): bool => $state->limit->isHard() && ! DatedLimits::isOne($state->limit)
                && in_array($state->limit->kind(), ['cap', 'step'], true) && $state->share() > 0.0 && $isTaken($state->limit),
        );
        usort($hard, fn (LimitState $a, LimitState $b): int => $b->share() <=> $a->share());

        return $hard[0] ?? null;
    }

    /**
     * With and without a ball, as a sheet counts them.
     *
     * @param  array<CostedSet>  $sets
     */
    private static function reps(array $sets): int
    {
        $of = fn (CostedSet $set): float => ($set->cost[Measure::Reps->value] ?? 0.0) + ($set->cost[Measure::Shadow->value] ?? 0.0);

        // A squat is no throw: what is beside the skill stands under its own name.
        $ofSkills = array_filter($sets, fn (CostedSet $set): bool => $set->family !== Family::Beside);

        return (int) array_sum(array_map($of, $ofSkills));
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, array<string, list<WeekSheetView>>> by athlete and day
     */
    private function sheets(array $ids, Day $from, Day $to): array
    {
        $sheets = [];
        $rows = DB::table('sheets')
            ->join('training_sessions', 'training_sessions.id', '=', 'sheets.training_session_id')
            ->whereIn('sheets.athlete_id', $ids)
            ->whereBetween('sheets.held_on', [$from->iso(), $to->iso()])
            ->where('sheets.state', '!=', Sheet::CALLED_OFF)
            ->orderBy('sheets.held_on')
            ->orderBy('training_sessions.starts_at')
            ->orderBy('sheets.id')
            ->select(['sheets.id', 'sheets.athlete_id', 'sheets.held_on', 'sheets.state', 'sheets.training_session_id'])
            ->addSelect(['training_sessions.title', 'training_sessions.starts_at'])
            ->selectSub(DB::table('sheet_blocks')->whereColumn('sheet_id', 'sheets.id')->selectRaw('sum(reps)'), 'planned')
            ->get();
        foreach ($rows as $row) {
            $sheets[$row->athlete_id][substr($row->held_on, 0, 10)][] = new WeekSheetView(
                id: $row->id,
                session_id: $row->training_session_id,
                title: $row->title,
                starts_at: $row->starts_at,
                state: $row->state,
                planned_reps: (int) $row->planned,
            );
        }

        return $sheets;
    }

    /** @return list<WeekSessionView> */
    private function sessions(Squad $squad, Day $from, Day $to, Day $today): array
    {
        return TrainingSession::query()
            ->where('squad_id', $squad->id)
            ->whereBetween('held_on', [$from->iso(), $to->iso()])
            ->whereNotIn('state', [SessionState::CalledOff->value, SessionState::Deleted->value])
            ->orderBy('held_on')
            ->orderBy('starts_at')
            ->get()
            ->map(fn (TrainingSession $session): WeekSessionView => new WeekSessionView(
                id: $session->id,
                day: $session->day()->iso(),
                starts_at: $session->starts_at,
                title: $session->title,
                open: ! $session->extra && ! $today->isAfter($session->day()) && $session->has_sheets,
            ))->all();
    }
}
