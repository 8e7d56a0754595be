<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Athlete;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** One person's data: given to them as it is, or taken away for good. */
final class Privacy
{
    /** Tables that hold something of an athlete, and the column that says whose it is. */
    private const OWN = [
        'soreness_reports', 'wellness', 'clearances', 'known_conditions', 'decisions', 'placements', 'skill_marks', 'heights', 'intakes', 'work_sets', 'daily_totals', 'sheets', 'rep_strips', 'returns', 'fixtures', 'seasons', 'limit_shares', 'scores',
    ];

    /** What erasure takes away; counts and loads without a name stay, so that the club's totals stay true. */
    private const ERASED = ['soreness_reports', 'wellness', 'clearances', 'known_conditions', 'decisions', 'placements', 'skill_marks', 'heights', 'intakes', 'returns', 'fixtures', 'seasons', 'limit_shares', 'scores', 'kept_rows', 'athlete_user', 'links'];

    /** @return array<string, mixed> everything kept of an athlete, table by table */
    public function export(Athlete $athlete, User $by): array
    {
        $rows = fn (string $table): array => DB::table($table)->where('athlete_id', $athlete->id)->get()->map(fn (object $row): array => (array) $row)->all();
        $data = ['athlete' => $athlete->attributesToArray()];
        foreach (self::OWN as $table) {
            $data[$table] = $rows($table);
        }
        $data['rep_events'] = DB::table('rep_events')->whereIn('sheet_id', array_column($data['sheets'], 'id'))->orderBy('at')->get()->all();
        foreach (['return_attempts', 'return_clearances', 'return_steps', 'return_measures'] as $table) {
            $data[$table] = DB::table($table)->whereIn('return_id', array_column($data['returns'], 'id'))->get()->all();
        }
        Audit::of($by, $athlete, 'data exported');

        return ['kept_by' => 'Augendo', 'written_at' => Carbon::now()->toIso8601String(), ...$data];
    }

    /** Takes away name, birth date, health, notes and links. Squad totals keep their numbers under nobody's name. */
    public function erase(Athlete $athlete, User $by): void
    {
        DB::transaction(function () use ($athlete, $by): void {
            foreach (self::ERASED as $table) {
                DB::table($table)->where('athlete_id', $athlete->id)->delete();
            }
            DB::table('rep_events')->whereIn('sheet_id', DB::table('sheets')->where('athlete_id', $athlete->id)->select('id'))->update(['note' => null]);
            DB::table('activity_log')->where('subject_type', Athlete::class)->where('subject_id', $athlete->id)->update(['properties' => '[]']);
            $athlete->update(['given_name' => 'Erased', 'family_name' => 'athlete', 'birth_date' => null, 'turn_direction' => null, 'erased_at' => Carbon::now()]);
            Athlete::raiseRevision($athlete->id);
            Audit::of($by, $athlete, 'data erased');
        });
    }
}
