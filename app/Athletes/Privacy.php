<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Film\FilmFiles;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\Link;
use App\People\Rights;
use App\People\User;
use App\Records\Alone;
use App\Records\Audit;
use App\Spreadsheets\ImportState;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * One person's data: given to them as it is, or taken away for good. A test walks the schema and fails when a table is
 * named in neither list.
 */
final class Privacy
{
    /** Given with an export: rows with the athlete's id. */
    public const EXPORTED_OF_ATHLETE = [
        'soreness_reports', 'wellness', 'clearances', 'known_conditions', 'decisions', 'placements', 'skill_marks',
        'heights', 'intakes', 'work_sets', 'daily_totals', 'sheets', 'rep_strips',
        'returns', 'fixtures', 'seasons', 'limit_shares', 'scores', 'athlete_squad', 'athlete_user', 'missing_counts',
        'corrections', 'absences', 'restrictions', 'incidents', 'line_ups', 'second_looks', 'weeks_elsewhere',
        'coach_notes', 'collectors', 'pick_ups', 'body_measures', 'film_consents', 'clips', 'film_reviews', 'work_beside',
        'film_pictures', 'asked_clips', 'device_loans', 'readings', 'schools', 'grip_notes', 'own_sizes',
    ];

    /** Given with an export: what hangs on those rows, or is about them. */
    public const EXPORTED_OF_THOSE = [
        'athletes', 'rep_events', 'sheet_blocks', 'training_sessions', 'return_attempts', 'return_clearances',
        'return_steps', 'return_measures', 'incident_entries', 'links', 'activity_log', 'users',
    ];

    /** Not given, and why. */
    public const NOT_EXPORTED = [
        'workspaces' => 'the club, not a person', 'squads' => 'the squad, not a person',
        'session_changes' => 'when and where the squad trains, with ids only',
        'sheet_templates' => 'doses put together for a squad, for nobody in particular',
        'squad_user' => 'who works with a squad', 'programmes' => 'the club’s own documents',
        'rule_sets' => 'the club’s own documents', 'flight_tables' => 'numbers of balls and nets, not a person',
        'club_drills' => 'the club’s own drills', 'size_tables' => 'what the club throws at which age, nobody’s own',
        'ladders' => 'the club’s own documents', 'sessions' => 'who is signed in just now',
        'imports' => 'files a coach brought in, by name', 'import_parts' => 'a file on its way in, gone once it is read',
        'import_rows' => 'its rows, gone once they are on record', 'import_sets' => 'likewise',
        'venues' => 'where the club trains, not a person', 'devices' => 'what measures for the club, not a person',
        'kept_rows' => 'worked out from the rest', 'rep_speeds' => 'worked out from the readings; the sets of work tell them',
        'carried_work' => 'averages of the daily totals',
        'jobs' => 'work that waits, with ids only',
        'failed_jobs' => 'work that failed, with ids only',
        'cache' => 'what can be worked out again', 'cache_locks' => 'who works just now',
        'erasures' => 'ids of who was erased, so that no copy brings them back', 'migrations' => 'the state of the tables',
    ];

    /** Deleted by an erasure: rows with the athlete's id. */
    public const ERASED = [
        'soreness_reports', 'wellness', 'clearances', 'known_conditions', 'decisions', 'placements', 'skill_marks',
        'heights', 'intakes', 'returns', 'fixtures', 'seasons', 'limit_shares', 'scores', 'kept_rows', 'missing_counts',
        'athlete_user', 'links', 'corrections', 'absences', 'restrictions', 'incidents', 'line_ups', 'second_looks', 'weeks_elsewhere',
        'coach_notes', 'collectors', 'pick_ups', 'body_measures', 'film_consents', 'clips', 'film_reviews', 'work_beside',
        'film_pictures', 'asked_clips', 'device_loans', 'readings', 'schools', 'grip_notes', 'own_sizes',
    ];

    /** Goes with those, by the database's own rule. */
    public const ERASED_WITH_THOSE = [...self::OF_RETURNS, 'incident_entries', 'import_parts', 'import_rows', 'import_sets'];

    public const OF_RETURNS = ['return_attempts', 'return_clearances', 'return_steps', 'return_measures'];

    /** Stays without what names the person or tells of their health. */
    public const EMPTIED = ['athletes', 'sheets', 'rep_events', 'activity_log', 'users', 'sessions'];

    /** Stays, and why. */
    public const KEPT = [
        'work_sets' => 'counts and loads without a name: the club’s totals stay true',
        'rep_speeds' => 'speeds without a name, as the sets have them',
        'daily_totals' => 'sums of those', 'carried_work' => 'averages of those', 'rep_strips' => 'marks without a name',
        'sheet_blocks' => 'doses, in the words of the ladder',
        'sheet_templates' => 'the squad’s', 'training_sessions' => 'the squad’s', 'session_changes' => 'the squad’s, with ids only',
        'athlete_squad' => 'an id in a squad', 'workspaces' => 'the club',
        'squads' => 'the squad', 'squad_user' => 'who works with a squad', 'programmes' => 'the club’s',
        'rule_sets' => 'the club’s', 'flight_tables' => 'the club’s', 'club_drills' => 'the club’s', 'size_tables' => 'the club’s',
        'venues' => 'the club’s', 'devices' => 'the club’s',
        'imports' => 'what came in, by the name of the file; what waits goes',
        'ladders' => 'the club’s', 'jobs' => 'ids only', 'failed_jobs' => 'ids only', 'migrations' => 'the state of the tables',
        'cache' => 'what can be worked out again', 'cache_locks' => 'who works just now',
        'erasures' => 'who was erased, by id and day alone',
    ];

    /** @return array<string, mixed> everything kept of an athlete, table by table */
    public function export(Athlete $athlete, User $by): array
    {
        $data = ['athlete' => $athlete->attributesToArray()];
        foreach (ExportedRows::ofAthlete($athlete) as $table => $rows) {
            $data[$table] = $rows->get()->map(fn (object $row): array => (array) $row)->all();
        }
        Audit::of($by, $athlete, 'data exported');

        return ['kept_by' => 'Augendo', 'written_at' => Carbon::now()->toIso8601String(), ...$data];
    }

    /** @return string path of a ZIP with everything kept of an athlete; whoever asked for it takes it away */
    public function zip(Athlete $athlete, User $by): string
    {
        Audit::of($by, $athlete, 'data exported');

        return ExportFile::write(ExportedRows::ofAthlete($athlete));
    }

    /**
     * Everything kept of a club, health and all: the head coach's to ask for.
     *
     * @return string path of a ZIP; whoever asked for it takes it away
     */
    public function zipOfClub(User $by): string
    {
        if (! Rights::isHead($by)) {
            throw new Problem(ProblemType::NotYoursToDo, 'Everything of the club is handed to the head coach alone.');
        }
        Audit::of($by, null, 'club exported');

        return ExportFile::write(ExportedRows::ofClub($by->workspace_id));
    }

    /**
     * Takes away name, birth date, health, notes, links and the athlete's own sign-in. Squad totals keep their numbers
     * under nobody's name.
     */
    public function erase(Athlete $athlete, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $by): void {
            $this->takeAway($athlete->id);
            Audit::of($by, $athlete->refresh(), 'data erased');
            // Before it is kept: a copy from before must never bring somebody back.
            ErasureLedger::write($athlete->id);
        });
    }

    /** Somebody who was erased came back with an older copy: erased again, by the ledger. */
    public function eraseAgain(): void
    {
        foreach (array_chunk(ErasureLedger::all(), 500) as $ids) {
            foreach (DB::table('athletes')->whereIn('id', $ids)->pluck('id') as $athleteId) {
                Alone::with($athleteId, fn () => $this->takeAway($athleteId));
            }
        }
    }

    private function takeAway(string $athleteId): void
    {
        $this->takeAwayAccounts($athleteId);
        FilmFiles::eraseAll($athleteId);
        foreach (self::ERASED as $table) {
            DB::table($table)->where('athlete_id', $athleteId)->delete();
        }
        $ofSheets = fn () => DB::table('rep_events')->whereIn(
            'sheet_id',
            DB::table('sheets')->where('athlete_id', $athleteId)->select('id'),
        );
        $ofSheets()->update(['note' => null]);
        // Ids of faults and checkpoints stay; words that somebody wrote in their place do not.
        foreach (
            $ofSheets()
                ->where(fn ($query) => $query->whereNotNull('fault')->orWhereNotNull('seen'))
                ->get(['id', 'fault', 'seen']) as $event
        ) {
            $words = array_filter(
                [$event->fault, ...array_keys(json_decode((string) $event->seen, true) ?? [])],
                fn ($word): bool => $word !== null && preg_match('/^[a-z0-9-]+$/D', (string) $word) !== 1,
            );
            if ($words !== []) {
                DB::table('rep_events')->where('id', $event->id)->update(['fault' => null, 'seen' => null]);
            }
        }
        DB::table('sheets')->where('athlete_id', $athleteId)->update(['trims' => '[]', 'focus' => null]);
        DB::table('activity_log')->where('subject_type', 'athlete')->where('subject_id', $athleteId)->update(['properties' => '[]']);
        foreach (Link::query()->where('purpose', Link::INVITATION)->get() as $invitation) {
            if (in_array($athleteId, $invitation->details['athletes'] ?? [], true)) {
                $invitation->update([
                    'label' => 'Taken back with an erasure',
                    'details' => null,
                    'revoked_at' => $invitation->revoked_at ?? Carbon::now(),
                ]);
            }
        }
        // A spreadsheet that still waits may name them: it is brought in anew.
        DB::table('imports')
            ->where('workspace_id', DB::table('athletes')->where('id', $athleteId)->value('workspace_id'))
            ->whereNotIn('state', [ImportState::Taken->value, ImportState::TakenBack->value])
            ->delete();
        DB::table('athletes')->where('id', $athleteId)->update([
            'given_name' => 'Erased', 'family_name' => 'athlete', 'birth_date' => null, 'turn_direction' => null, 'shows_scores' => false,
            'erased_at' => Carbon::now(), 'revision' => DB::raw('revision + 1'),
        ]);
    }

    /** The athlete's own sign-in goes; a guardian's stays, and sees nothing of them any more. */
    private function takeAwayAccounts(string $athleteId): void
    {
        foreach ($this->ownAccounts($athleteId) as $id) {
            DB::table('links')->where('user_id', $id)->delete();
            DB::table('sessions')->where('user_id', $id)->delete();
            DB::table('users')->where('id', $id)->update([
                'name' => 'Erased person', 'email' => "erased-{$id}@invalid", 'password' => Str::random(60),
                'remember_token' => null, 'closed_at' => Carbon::now(),
            ]);
        }
    }

    /** @return list<int> accounts that are the athlete themself */
    private function ownAccounts(string $athleteId): array
    {
        return ExportedRows::ownAccounts($athleteId)->pluck('id')->all();
    }
}
