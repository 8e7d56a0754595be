<?php

declare(strict_types=1);

namespace App\Athletes;

use App\People\Role;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** The rows an export hands over, table by table, without what signs in or opens a link. docs/data.md says what each column is. */
final class ExportedRows
{
    private const LINK = [
        'id', 'purpose', 'athlete_id', 'user_id', 'label', 'made_by', 'expires_at', 'used_at', 'revoked_at', 'created_at',
    ];

    private const DEVICE = [
        'id', 'name', 'kind', 'made_by', 'made_at', 'revoked_at', 'heard_at', 'battery', 'clock_off_s',
    ];

    private const ACCOUNT = ['id', 'name', 'email', 'role', 'created_at', 'closed_at'];

    private const LOG = ['subject_id', 'description', 'properties', 'causer_id', 'created_at'];

    /** Where and when, without who else was there. */
    private const SESSION = ['id', 'squad_id', 'held_on', 'starts_at', 'title', 'minutes', 'floor'];

    /** @return array<string, Builder> by table */
    public static function ofAthlete(Athlete $athlete): array
    {
        $rows = self::ofAthletes(fn (Builder $table, string $column): Builder => $table->where($column, $athlete->id));
        $sheets = DB::table('sheets')->where('athlete_id', $athlete->id);

        return [
            ...$rows,
            'training_sessions' => DB::table('training_sessions')
                ->whereIn('id', $sheets->select('training_session_id'))
                ->select(self::SESSION),
            'links' => DB::table('links')->where('athlete_id', $athlete->id)->select(self::LINK),
            'activity_log' => DB::table('activity_log')
                ->where('subject_type', 'athlete')
                ->where('subject_id', $athlete->id)
                ->select(self::LOG),
            'users' => self::ownAccounts($athlete->id)->select(self::ACCOUNT),
        ];
    }

    /** @return array<string, Builder> by table */
    public static function ofClub(int $workspaceId): array
    {
        $athletes = fn (): Builder => DB::table('athletes')->where('workspace_id', $workspaceId);
        $squads = fn (): Builder => DB::table('squads')->where('workspace_id', $workspaceId);
        $ofSquads = fn (string $table): Builder => DB::table($table)->whereIn('squad_id', $squads()->select('id'));
        $ofClub = fn (string $table): Builder => DB::table($table)->where('workspace_id', $workspaceId);

        return [
            'workspaces' => DB::table('workspaces')->where('id', $workspaceId),
            'users' => $ofClub('users')->select(self::ACCOUNT),
            'squads' => $squads(),
            'squad_user' => $ofSquads('squad_user'),
            'athletes' => $athletes(),
            ...self::ofAthletes(fn (Builder $table, string $column): Builder => $table->whereIn($column, $athletes()->select('id'))),
            'fixtures' => DB::table('fixtures')->where(fn (Builder $of) => $of
                ->whereIn('squad_id', $squads()->select('id'))
                ->orWhereIn('athlete_id', $athletes()->select('id'))),
            'training_sessions' => $ofSquads('training_sessions'),
            'session_changes' => $ofSquads('session_changes'),
            'sheet_templates' => $ofSquads('sheet_templates'),
            'coach_notes' => $ofSquads('coach_notes'),
            'programmes' => $ofClub('programmes'),
            'rule_sets' => $ofClub('rule_sets'),
            'ladders' => $ofClub('ladders'),
            'imports' => $ofClub('imports'),
            'devices' => $ofClub('devices')->select(self::DEVICE),
            'venues' => $ofClub('venues'),
            'links' => $ofClub('links')->select(self::LINK),
            'activity_log' => $ofClub('activity_log')->select(self::LOG),
        ];
    }

    /** Accounts that are the athlete themself. */
    public static function ownAccounts(string $athleteId): Builder
    {
        return DB::table('users')
            ->where('role', Role::Athlete->value)
            ->whereIn('id', DB::table('athlete_user')->where('athlete_id', $athleteId)->select('user_id'));
    }

    /**
     * @param  Closure(Builder, string): Builder  $theirs  narrows a table to some athletes by a column
     * @return array<string, Builder> by table
     */
    private static function ofAthletes(Closure $theirs): array
    {
        $ids = fn (string $table): Builder => $theirs(DB::table($table), 'athlete_id')->select('id');
        $rows = [];
        foreach (Privacy::EXPORTED_OF_ATHLETE as $table) {
            $rows[$table] = $theirs(DB::table($table), 'athlete_id');
        }
        foreach (['rep_events', 'sheet_blocks'] as $table) {
            $rows[$table] = DB::table($table)->whereIn('sheet_id', $ids('sheets'));
        }
        foreach (Privacy::OF_RETURNS as $table) {
            $rows[$table] = DB::table($table)->whereIn('return_id', $ids('returns'));
        }
        $rows['incident_entries'] = DB::table('incident_entries')->whereIn('incident_id', $ids('incidents'));

        return $rows;
    }
}
