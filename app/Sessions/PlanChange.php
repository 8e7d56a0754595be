<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Squad;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\Sent;
use App\Seasons\FollowSessions;
use Augendo\Core\Day;
use Closure;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * One change of a squad's plan while it is made. Whoever makes it names each session and sheet before touching it; what was there is kept
 * with the change, and what follows from it (plans fitted anew, seasons that use the sessions) is told here, once.
 */
final class PlanChange
{
    /** What of a session a change may touch. */
    private const SESSION = [
        'held_on', 'starts_at', 'title', 'minutes', 'place', 'state', 'reason', 'first_on', 'own', 'has_sheets', 'entered_late',
        'floor', 'objects',
    ];

    /** What of a sheet. */
    private const SHEET = ['training_session_id', 'held_on', 'state', 'edited', 'pace'];

    /** @var array<string, array<string, mixed>> by id */
    private array $sessions = [];

    /** @var array<string, array<string, mixed>> by id */
    private array $sheets = [];

    /** @var array<string, array<string, mixed>> by id of the sheet */
    private array $doses = [];

    /** @var list<string> */
    private array $made = [];

    /** @var list<string> */
    private array $madeSheets = [];

    /** @var array<string, true> by id */
    private array $athletes = [];

    private function __construct() {}

    /**
     * @param  Closure(self): array<string, mixed>  $do  what it was about, as SessionChange::$about
     * @param  string|null  $id  made by the client, so that sending it twice changes nothing
     */
    public static function make(Squad $squad, PlanAct $act, User $by, Closure $do, ?string $id = null): SessionChange
    {
        return Alone::inClub($squad->workspace_id, function () use ($squad, $act, $by, $do, $id): SessionChange {
            if ($id !== null && Sent::before('session_changes', $id, ['squad_id' => $squad->id])) {
                return SessionChange::query()->findOrFail($id);
            }
            $change = new self;
            $about = $do($change);
            $kept = SessionChange::query()->create([
                ...($id === null ? [] : ['id' => $id]),
                'squad_id' => $squad->id, 'kind' => $act->value, 'about' => $about, 'made_by' => $by->id, 'made_at' => Carbon::now(),
                'before' => [
                    'sessions' => array_values($change->sessions), 'sheets' => array_values($change->sheets),
                    'made' => $change->made, 'made_sheets' => $change->madeSheets, 'doses' => array_values($change->doses),
                ],
            ]);
            Audit::of($by, null, "session {$act->value}", array_diff_key($about, ['athlete' => true, 'reason' => true]));
            $change->follow($by);

            return $kept;
        });
    }

    /**
     * Before anything is read that taps change: nobody counts in these sessions until the change is kept.
     *
     * @param  list<string>  $sessionIds
     */
    public static function hold(array $sessionIds): void
    {
        Alone::also(Sheet::query()->whereIn('training_session_id', $sessionIds)->distinct()->pluck('athlete_id')->all());
    }

    /** Its name or hour changed, which rows of Today tell. */
    public function renamed(TrainingSession $session): void
    {
        foreach ($session->sheets()->where('state', '!=', Sheet::CALLED_OFF)->pluck('athlete_id') as $id) {
            $this->athletes[$id] = true;
        }
    }

    public function touch(TrainingSession $session): void
    {
        $this->sessions[$session->id] ??= self::asKept($session, self::SESSION);
    }

    public function touchSheet(Sheet $sheet): void
    {
        $this->sheets[$sheet->id] ??= self::asKept($sheet, self::SHEET);
        $this->athletes[$sheet->athlete_id] = true;
    }

    /** The doses of a sheet that was begun are about to be others: as they are, and what was said of them. */
    public function touchDoses(Sheet $sheet): void
    {
        $this->doses[$sheet->id] ??= [
            'sheet' => self::asKept($sheet, ['trims', 'focus', 'edited']),
            'blocks' => array_values($sheet->blocks()->get()->map(fn (SheetBlock $block): array => $block->getRawOriginal())->all()),
            // Whoever changes it once more raises this.
            'version' => $sheet->version + 1,
        ];
        $this->athletes[$sheet->athlete_id] = true;
    }

    public function made(TrainingSession $session): void
    {
        $this->made[] = $session->id;
    }

    public function madeSheet(Sheet $sheet): void
    {
        $this->madeSheets[] = $sheet->id;
        $this->athletes[$sheet->athlete_id] = true;
    }

    /**
     * @param  list<string>  $columns
     * @return array<string, mixed> raw, as the columns hold it
     */
    private static function asKept(Sheet|TrainingSession $row, array $columns): array
    {
        return ['id' => $row->id, ...array_intersect_key($row->getRawOriginal(), array_flip($columns))];
    }

    private function follow(User $by): void
    {
        $ids = array_keys($this->athletes);
        $moved = Sheet::query()->whereIn('id', array_keys($this->sheets))->distinct()->pluck('athlete_id')->all();
        // A sheet that is new was fitted to all the others; where one moved or went, those after it may hold more, or less.
        AthletesChanged::many(array_values(array_diff($ids, $moved)));
        if ($moved !== []) {
            AthletesChanged::many($moved, $this->firstDay()->latest($by->workspace->today()));
        }
        FollowSessions::ofAthletes($ids);
    }

    /** The first day a sheet was on, or is on now. */
    private function firstDay(): Day
    {
        $now = Sheet::query()->whereIn('id', array_keys($this->sheets))->min('held_on');
        $days = [...array_column($this->sheets, 'held_on'), ...($now === null ? [] : [$now])];

        return Day::of(substr(min($days), 0, 10));
    }

    /** Puts everything back as it was before a change, in the same way and with the same consequences. */
    public static function putBack(SessionChange $change, User $by): void
    {
        $back = new self;
        foreach ($change->before['sessions'] as $row) {
            DB::table('training_sessions')->where('id', $row['id'])->update([
                ...array_diff_key($row, ['id' => true]),
                'version' => DB::raw('version + 1'), 'updated_at' => Carbon::now(),
            ]);
        }
        foreach ($change->before['sheets'] as $row) {
            $sheet = Sheet::query()->find($row['id']);
            if ($sheet !== null && ! in_array($sheet->state, ['running', 'finished'], true)) {
                $back->touchSheet($sheet);
                DB::table('sheets')->where('id', $row['id'])->update([...array_diff_key($row, ['id' => true]), 'stale' => true]);
                self::asItStandsNow($sheet->refresh());
            }
        }
        foreach ($change->before['doses'] ?? [] as $kept) {
            $back->putBackDoses($kept);
        }
        TrainingSession::query()->whereIn('id', $change->before['made'])->update(['state' => SessionState::Deleted->value]);
        foreach (Sheet::query()->whereIn('id', $change->before['made_sheets'])->where('state', 'planned')->get() as $sheet) {
            $back->touchSheet($sheet);
            $sheet->update(['state' => Sheet::CALLED_OFF]);
        }
        $back->follow($by);
    }

    /** @param  array<string, mixed>  $kept  as touchDoses() keeps it; nobody has counted on what came since */
    private function putBackDoses(array $kept): void
    {
        $sheet = Sheet::query()->find($kept['sheet']['id']);
        if ($sheet === null) {
            return;
        }
        $sheet->blocks()->whereNotIn('id', array_column($kept['blocks'], 'id'))->delete();
        DB::table('sheet_blocks')->where('sheet_id', $sheet->id)->increment('position', 2 * count($kept['blocks']));
        foreach ($kept['blocks'] as $row) {
            DB::table('sheet_blocks')->where('id', $row['id'])->update(array_diff_key($row, ['id' => true]));
        }
        DB::table('sheets')->where('id', $sheet->id)->update([
            ...array_diff_key($kept['sheet'], ['id' => true]), 'version' => $sheet->version + 1,
        ]);
        $this->athletes[$sheet->athlete_id] = true;
    }

    /** While it was called off the athlete may have moved on, or left the ladder. */
    private static function asItStandsNow(Sheet $sheet): void
    {
        $placement = MakeSheets::standing($sheet->athlete_id)->firstWhere('ladder', $sheet->ladder);
        $placement === null
            ? $sheet->update(['state' => Sheet::CALLED_OFF])
            : $sheet->update($sheet->edited ? [] : ['rung' => $placement->rung, 'ladder_version' => $placement->ladder_version]);
    }
}
