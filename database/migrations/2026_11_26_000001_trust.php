<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** Foreign keys that nothing was found by: without an index, whoever deletes a row scans the whole record. */
    private const KEYS = [
        'users' => ['workspace_id'], 'squads' => ['workspace_id'], 'athletes' => ['workspace_id'], 'athlete_squad' => ['squad_id'],
        'rep_events' => ['user_id', 'block_id'], 'work_sets' => ['block_id'], 'clearances' => ['recorded_by'],
        'decisions' => ['decided_by'],
        'placements' => ['decision_id'], 'kept_rows' => ['athlete_id'], 'programmes' => ['saved_by'], 'returns' => ['opened_by'],
        'return_attempts' => ['recorded_by', 'return_id'], 'return_clearances' => ['recorded_by', 'return_id'],
        'return_steps' => ['decided_by', 'return_id'],
        'return_measures' => ['recorded_by', 'return_id'], 'sheets' => ['return_id', 'training_session_id'], 'squad_user' => ['user_id'],
        'athlete_user' => ['user_id'], 'links' => ['made_by', 'user_id', 'workspace_id'], 'known_conditions' => ['set_by'],
        'soreness_reports' => ['link_id', 'reported_by'], 'heights' => ['recorded_by'], 'fixtures' => ['created_by'],
        'seasons' => ['created_by', 'squad_id'],
        'rule_sets' => ['saved_by'], 'limit_shares' => ['set_by'], 'scores' => ['taken_by'], 'ladders' => ['saved_by'],
    ];

    public function up(): void
    {
        foreach (self::KEYS as $name => $columns) {
            Schema::table($name, function (Blueprint $table) use ($columns): void {
                foreach ($columns as $column) {
                    $table->index($column);
                }
            });
        }
        // The last report of each place: three sore days can refer one until it is reported on again.
        Schema::table('soreness_reports', fn (Blueprint $table) => $table->index(['athlete_id', 'site', 'side', 'day']));
        // Counts that lie on a device and have not come: until they do, what its athletes have done is not known.
        Schema::create('missing_counts', function (Blueprint $table): void {
            $table->id();
            $table->uuid('device');
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('count');
            $table->foreignId('told_by')->constrained('users');
            $table->timestamp('since');
            $table->unique(['device', 'athlete_id']);
            $table->index('athlete_id');
            $table->index('told_by');
        });
        // Whatever deletes a sheet, its taps stay: SQLite’s way of saying so, since a constraint cannot be changed
        // without copying the table.
        if (DB::getDriverName() === 'sqlite') {
            DB::unprepared(<<<'SQL'
                create trigger sheets_with_taps_stay before delete on sheets
                when exists (select 1 from rep_events where sheet_id = old.id)
                begin select raise(abort, 'A sheet that has taps stays.'); end
                SQL);
        } else {
            Schema::table('rep_events', function (Blueprint $table): void {
                $table->dropForeign(['sheet_id']);
                $table->foreign('sheet_id')->references('id')->on('sheets')->restrictOnDelete();
            });
        }
        // Notes from before texts were checked: what cannot be read stopped everything it was shown on.
        foreach (DB::table('soreness_reports')->whereNotNull('note')->get(['id', 'note']) as $row) {
            $readable = preg_replace('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/u', '', mb_scrub((string) $row->note, 'UTF-8'));
            if ($readable !== $row->note) {
                DB::table('soreness_reports')->where('id', $row->id)->update(['note' => $readable]);
            }
        }
    }

    public function down(): void
    {
        if (DB::getDriverName() === 'sqlite') {
            DB::unprepared('drop trigger if exists sheets_with_taps_stay');
        } else {
            Schema::table('rep_events', function (Blueprint $table): void {
                $table->dropForeign(['sheet_id']);
                $table->foreign('sheet_id')->references('id')->on('sheets')->cascadeOnDelete();
            });
        }
        Schema::dropIfExists('missing_counts');
        Schema::table('soreness_reports', fn (Blueprint $table) => $table->dropIndex(['athlete_id', 'site', 'side', 'day']));
        foreach (self::KEYS as $name => $columns) {
            Schema::table($name, function (Blueprint $table) use ($columns): void {
                foreach ($columns as $column) {
                    $table->dropIndex([$column]);
                }
            });
        }
    }
};
