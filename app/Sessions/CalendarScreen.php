<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Answers\NamedView;
use App\Athletes\Cards;
use App\Athletes\Squad;
use App\Gates\Placement;
use App\Library\ClubSizes;
use App\People\User;
use App\Seasons\FixtureAnswers;
use App\Sessions\Answers\CalendarSessionView;
use App\Sessions\Answers\CalendarView;
use App\Sessions\Answers\LadderOfSquadView;
use App\Sessions\Answers\PlanChangeView;
use App\Sessions\Answers\SessionPreviewView;
use App\Sessions\Answers\SheetPreviewView;
use App\Wording\PlanWording;
use App\Wording\SheetWording;
use App\Wording\Wording;
use Augendo\Core\Courtside\CountChange;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\SizeTables;
use Augendo\Core\Planning\SessionLife;
use Augendo\Core\Planning\WeeklyDays;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What was, what will be, and what moved. */
final class CalendarScreen
{
    /** Places used in so many days are offered again. */
    private const PLACES_DAYS = 120;

    private const MOST_CHANGES = 8;

    private const WEEKS = 6;

    /** Three months at once are more than a screen shows. */
    private const MOST_DAYS = 100;

    public function __construct(
        private readonly Library $library,
        private readonly FixtureAnswers $fixtures,
        private readonly SheetWording $wording,
        private readonly ClubSizes $sizes,
    ) {}

    /**
     * @param  Day|null  $from  null: the Monday of this week
     * @param  Day|null  $to  null: six weeks in all
     */
    public function view(User $user, Squad $squad, ?Day $from, ?Day $to): CalendarView
    {
        $today = $user->workspace->today();
        $from ??= WeeklyDays::monday($today);
        $to = ($to ?? $from->plus(7 * self::WEEKS - 1))->latest($from);
        $to = $to->daysSince($from) > self::MOST_DAYS ? $from->plus(self::MOST_DAYS) : $to;
        $athletes = $user->athletesOf($squad)->get();
        $ids = $athletes->pluck('id')->all();

        return new CalendarView(
            date: $today->iso(),
            from: $from->iso(),
            to: $to->iso(),
            late_from: $today->plus(-CountChange::LATE_DAYS)->iso(),
            squad: Cards::squad($squad),
            squads: Cards::squads($user),
            sessions: $this->sessions($user, $squad, $from, $to),
            fixtures: $this->fixtures->between($squad, $athletes, $from, $to),
            changes: $user->role->decides() ? $this->changes($squad, $user, $today) : [],
            ladders: $this->ladders($ids, $this->sizes->of($squad->workspace_id)),
            places: TrainingSession::query()
                ->where('squad_id', $squad->id)
                ->where('held_on', '>=', $today->plus(-self::PLACES_DAYS)->iso())
                ->whereNotNull('place')
                ->distinct()
                ->orderBy('place')
                ->pluck('place')
                ->all(),
        );
    }

    /** @return list<CalendarSessionView> */
    private function sessions(User $user, Squad $squad, Day $from, Day $to): array
    {
        $today = $user->workspace->today()->iso();
        $seen = $user->visibleAthletes()->select('athletes.id');
        $sheets = fn (): Builder => DB::table('sheets')
            ->whereColumn('training_session_id', 'training_sessions.id')
            ->where('sheets.state', '!=', Sheet::CALLED_OFF)
            ->whereIn('sheets.athlete_id', clone $seen->getQuery());
        $rows = DB::table('training_sessions')
            ->where('squad_id', $squad->id)
            ->where('training_sessions.state', '!=', SessionState::Deleted->value)
            ->whereBetween('held_on', [$from->iso(), $to->iso()])
            ->orderBy('held_on')
            ->orderBy('starts_at')
            ->select('training_sessions.*')
            ->selectSub($sheets()->selectRaw('count(distinct athlete_id)'), 'athletes')
            ->selectSub($sheets()->where('sheets.state', 'running')->selectRaw('count(*)'), 'running')
            ->selectSub($sheets()->where('sheets.state', 'finished')->selectRaw('count(*)'), 'finished')
            ->selectSub($sheets()->where('sheets.state', 'planned')->where('sheets.stale', true)->selectRaw('count(*)'), 'waiting')
            ->selectSub(
                $sheets()->join('sheet_blocks', 'sheet_blocks.sheet_id', '=', 'sheets.id')->selectRaw('sum(sheet_blocks.reps)'),
                'planned',
            )
            ->selectSub(
                $sheets()->join('work_sets', fn ($join) => $join->whereRaw('work_sets.session = cast(sheets.id as text)'))
                    ->selectRaw('sum(work_sets.reps)'),
                'done',
            )
            ->get();

        return $rows
            ->filter(fn (object $row): bool => $user->role->seesSquads() || $row->athletes > 0)
            ->map(fn (object $row): CalendarSessionView => new CalendarSessionView(
                id: $row->id,
                version: (int) $row->version,
                day: substr($row->held_on, 0, 10),
                starts_at: $row->starts_at,
                minutes: $row->minutes === null ? null : (int) $row->minutes,
                title: $row->title,
                place: $row->place,
                state: $row->state,
                reason: $row->reason,
                repeats: $row->series_id !== null,
                extra: (bool) $row->extra,
                counted: $row->running + $row->finished > 0,
                open: $row->running > 0,
                waiting: $row->waiting > 0 && substr($row->held_on, 0, 10) >= $today,
                entered_late: (bool) $row->entered_late,
                athletes: (int) $row->athletes,
                planned_reps: $row->has_sheets ? (int) $row->planned : null,
                done_reps: (int) $row->done,
                moved_from: $row->first_on === null ? null : substr($row->first_on, 0, 10),
            ))
            ->values()
            ->all();
    }

    /**
     * @param  list<string>  $athleteIds
     * @return list<LadderOfSquadView>
     */
    private function ladders(array $athleteIds, SizeTables $sizes): array
    {
        return Placement::standing()
            ->whereIn('athlete_id', $athleteIds)
            ->get()
            ->groupBy('ladder')
            ->map(fn (Collection $of, string $id): LadderOfSquadView => new LadderOfSquadView(
                $id,
                $this->library->ladder($id)->name,
                $of->pluck('athlete_id')->unique()->count(),
                NamedView::ofObjects($sizes->objectsOf($this->library->ladder($id))),
            ))
            ->sortBy(fn (LadderOfSquadView $each): array => [-$each->athletes, $each->name])
            ->values()
            ->all();
    }

    /** @return list<PlanChangeView> the latest first */
    private function changes(Squad $squad, User $user, Day $today): array
    {
        return $this->said(SessionChange::query()
            ->where('squad_id', $squad->id)
            ->whereNull('taken_back_at')
            ->where('made_at', '>=', Carbon::parse($today->plus(-SessionLife::TAKE_BACK_DAYS)->iso(), $user->workspace->timezone)->utc())
            ->orderByDesc('made_at')
            ->orderByDesc('id')
            ->limit(self::MOST_CHANGES)
            ->get(), $user);
    }

    /** @return list<PlanChangeView> those of one session that can still be taken back */
    public function changesOf(TrainingSession $session, User $user): array
    {
        $recent = SessionChange::query()
            ->where('squad_id', $session->squad_id)
            ->whereNull('taken_back_at')
            ->orderByDesc('made_at')
            ->orderByDesc('id')
            ->limit(10 * self::MOST_CHANGES)
            ->get()
            ->filter(fn (SessionChange $change): bool => in_array($session->id, $change->sessionIds(), true));

        return $this->said($recent->take(self::MOST_CHANGES)->values(), $user);
    }

    public function change(SessionChange $change, User $user): PlanChangeView
    {
        return $this->said(collect([$change]), $user)[0];
    }

    /**
     * @param  Collection<int, SessionChange>  $changes
     * @return list<PlanChangeView>
     */
    private function said(Collection $changes, User $user): array
    {
        $people = User::query()->whereIn('id', $changes->pluck('made_by'))->pluck('name', 'id');
        $athletes = $user->visibleAthletes()->whereIn('id', $changes->pluck('about.athlete')->filter())->get()->keyBy('id');

        return array_values($changes->map(fn (SessionChange $change): PlanChangeView => new PlanChangeView(
            id: $change->id,
            sentence: PlanWording::change($change, ($athletes[$change->about['athlete'] ?? ''] ?? null)?->given_name),
            by: $people[$change->made_by] ?? '',
        ))->all());
    }

    /**
     * @param  list<string>  $days
     * @param  list<Sheet>  $sheets  of the first day, as they would be fitted
     */
    public function preview(SessionsMade $made, array $days, array $sheets): SessionPreviewView
    {
        return new SessionPreviewView(
            days: $days,
            sheets: array_map($this->sheet(...), $sheets),
            left_out: $made->leftOut,
        );
    }

    private function sheet(Sheet $sheet): SheetPreviewView
    {
        $ladder = $this->library->ladder($sheet->ladder);
        $own = $sheet->blocks->first(fn (SheetBlock $block): bool => $block->judged && $block->reps > 0);

        return new SheetPreviewView(
            name: $sheet->athlete->name(),
            ladder_name: $ladder->name,
            rung_name: $ladder->rung($sheet->rung)->name ?? $sheet->rung,
            reps: (int) $sheet->blocks->sum('reps'),
            dose: $own === null ? null : "{$own->reps} × ".lcfirst($own->title).', '.Wording::dose($own->effort, $own->distance_m),
            notes: array_map(function (SheetNote $note) use ($sheet): string {
                $block = $note->block === null ? null : $sheet->blocks[$note->block] ?? null;

                return ($block === null ? '' : "{$block->title}: ").$this->wording->note($note, $sheet);
            }, $sheet->notes()),
        );
    }
}
