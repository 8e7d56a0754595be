<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const MEASURES = ['count_reps', 'shadow', 'high_reps', 'metres', 'arm', 'hand', 'trunk', 'landings'];

    public function up(): void
    {
        // A spreadsheet somebody brings in: read, looked at, taken in as a whole and taken back as a whole.
        Schema::create('imports', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('workspace_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->string('file_name');
            $table->unsignedInteger('parts');
            $table->string('state');
            $table->json('header')->nullable();
            $table->json('choices')->nullable();
            // What reading and judging found out about it.
            $table->json('found')->nullable();
            $table->unsignedInteger('version')->default(1);
            $table->unsignedInteger('rows')->default(0);
            $table->unsignedInteger('done')->default(0);
            // Why it stopped, by name.
            $table->string('fault')->nullable();
            $table->foreignId('made_by')->constrained('users');
            $table->timestamp('made_at');
            $table->timestamp('taken_at')->nullable();
            $table->timestamp('taken_back_at')->nullable();
            $table->string('reason')->nullable();
            $table->index(['workspace_id', 'made_at']);
            $table->index('made_by');
        });
        // The file itself, until it is read.
        Schema::create('import_parts', function (Blueprint $table): void {
            $table->foreignUuid('import_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('no');
            $table->longText('base64');
            $table->primary(['import_id', 'no']);
        });
        // Its rows as they stand there, until they are taken in.
        Schema::create('import_rows', function (Blueprint $table): void {
            $table->foreignUuid('import_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('line');
            $table->json('cells');
            $table->string('verdict')->nullable();
            $table->json('why')->nullable();
            $table->primary(['import_id', 'line']);
            $table->index(['import_id', 'verdict', 'line']);
        });
        // The work in them, priced and ready to be put on record in one statement.
        Schema::create('import_sets', function (Blueprint $table): void {
            $table->foreignUuid('import_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('line');
            $table->uuid('client_id');
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->date('day');
            $table->string('session');
            $table->string('source');
            $table->string('skill');
            $table->unsignedInteger('reps');
            $table->double('effort')->nullable();
            $table->string('object');
            $table->string('implement');
            $table->string('side');
            $table->double('distance_m')->nullable();
            $table->unsignedTinyInteger('legs');
            foreach (self::MEASURES as $measure) {
                $table->double($measure);
            }
            $table->primary(['import_id', 'line']);
            $table->index('athlete_id');
        });
        Schema::table('work_sets', fn (Blueprint $table) => $table->uuid('import_id')->nullable());
        // Of a million sets few came in a spreadsheet.
        DB::statement('create index work_sets_import_id_index on work_sets (import_id) where import_id is not null');
        Schema::table('athletes', fn (Blueprint $table) => $table->uuid('import_id')->nullable()->index());
    }

    public function down(): void
    {
        Schema::table('athletes', function (Blueprint $table): void {
            $table->dropIndex(['import_id']);
            $table->dropColumn('import_id');
        });
        Schema::table('work_sets', function (Blueprint $table): void {
            $table->dropIndex(['import_id']);
            $table->dropColumn('import_id');
        });
        foreach (['import_sets', 'import_rows', 'import_parts', 'imports'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
