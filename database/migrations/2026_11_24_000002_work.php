<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('training_sessions', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('squad_id')->constrained()->cascadeOnDelete();
            $table->date('held_on');
            $table->string('starts_at', 5);
            $table->string('title');
            $table->timestamps();
            $table->index(['squad_id', 'held_on']);
        });
        Schema::create('sheets', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('training_session_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->date('held_on');
            $table->string('ladder');
            $table->unsignedInteger('ladder_version');
            $table->string('rung');
            $table->string('state')->default('planned');
            $table->unsignedInteger('version')->default(1);
            $table->boolean('edited')->default(false);
            $table->json('trims');
            $table->string('started_at')->nullable();
            $table->string('finished_at')->nullable();
            $table->unsignedInteger('minutes')->nullable();
            $table->unsignedTinyInteger('session_rpe')->nullable();
            $table->timestamps();
            $table->index(['athlete_id', 'held_on']);
        });
        Schema::create('sheet_blocks', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('sheet_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('kind');
            $table->string('title');
            $table->text('text');
            $table->string('skill');
            $table->string('object');
            $table->string('side');
            $table->string('surface')->nullable();
            $table->unsignedInteger('asked_sets');
            $table->unsignedInteger('asked_reps');
            $table->unsignedInteger('reps_min');
            $table->float('asked_effort');
            $table->float('effort_min');
            $table->float('asked_distance_m')->nullable();
            $table->float('distance_min_m')->nullable();
            $table->unsignedInteger('rest_s');
            $table->unsignedInteger('hold_s')->nullable();
            $table->unsignedTinyInteger('legs');
            $table->float('drop_cm')->nullable();
            $table->boolean('judged');
            $table->unsignedInteger('sets');
            $table->unsignedInteger('reps');
            $table->float('effort');
            $table->float('distance_m')->nullable();
            $table->unique(['sheet_id', 'position']);
        });
        // Append-only: a correction is another event that names the one it corrects.
        Schema::create('rep_events', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('sheet_id')->constrained()->cascadeOnDelete();
            // A block with taps on it cannot be taken away.
            $table->foreignUuid('block_id')->constrained('sheet_blocks')->restrictOnDelete();
            $table->unsignedInteger('set_no');
            $table->string('kind');
            $table->uuid('target_id')->nullable();
            $table->string('verdict')->nullable();
            $table->string('fault')->nullable();
            $table->string('side');
            $table->float('effort')->nullable();
            $table->float('distance_m')->nullable();
            $table->string('at');
            $table->unsignedInteger('seq');
            $table->uuid('device');
            $table->foreignId('user_id')->constrained();
            $table->timestamp('received_at');
            $table->index(['sheet_id', 'at']);
        });
        Schema::create('work_sets', function (Blueprint $table): void {
            $table->id();
            // Of work logged by hand: made by the client, so that sending it twice adds it once.
            $table->uuid('client_id')->nullable()->unique();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->date('day');
            $table->string('session');
            $table->foreignUuid('block_id')->nullable()->constrained('sheet_blocks')->cascadeOnDelete();
            $table->string('source');
            $table->string('skill');
            $table->unsignedInteger('reps');
            $table->float('effort')->nullable();
            $table->string('object');
            $table->string('implement');
            $table->string('side');
            $table->string('surface')->nullable();
            $table->float('distance_m')->nullable();
            $table->float('speed_ms')->nullable();
            $table->unsignedTinyInteger('legs')->default(2);
            $table->float('drop_cm')->nullable();
            $this->measures($table);
            $table->index(['athlete_id', 'day']);
            $table->index(['session']);
        });
        // Derived from work_sets in the transaction that writes them; augendo:rebuild proves it.
        Schema::create('daily_totals', function (Blueprint $table): void {
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->date('day');
            $table->string('skill');
            $table->string('side');
            $table->string('implement');
            $this->measures($table);
            $table->primary(['athlete_id', 'day', 'skill', 'side', 'implement']);
        });
        // The judged repetitions of one sheet, one mark each: the gate's evidence without reading every event.
        Schema::create('rep_strips', function (Blueprint $table): void {
            $table->foreignUuid('sheet_id')->primary()->constrained()->cascadeOnDelete();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('ladder');
            $table->string('rung');
            $table->date('day');
            $table->string('last_at');
            $table->text('marks');
            $table->index(['athlete_id', 'ladder', 'rung', 'day']);
        });
    }

    public function down(): void
    {
        foreach (['rep_strips', 'daily_totals', 'work_sets', 'rep_events', 'sheet_blocks', 'sheets', 'training_sessions'] as $table) {
            Schema::dropIfExists($table);
        }
    }

    private function measures(Blueprint $table): void
    {
        foreach (['count_reps', 'shadow', 'high_reps', 'metres', 'arm', 'hand', 'trunk', 'landings'] as $measure) {
            $table->double($measure)->default(0);
        }
    }
};
