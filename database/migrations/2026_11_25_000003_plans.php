<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Days that are fixed from outside, with the work they are expected to cost: matches, and training at another club.
        Schema::create('fixtures', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('squad_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignUuid('athlete_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->date('held_on');
            $table->string('starts_at', 5);
            $table->string('title');
            $table->json('doses');
            $table->foreignId('created_by')->constrained('users');
            $table->timestamps();
            $table->index(['squad_id', 'held_on']);
            $table->index(['athlete_id', 'held_on']);
        });
        Schema::create('seasons', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->foreignId('squad_id')->constrained()->cascadeOnDelete();
            $table->string('ladder');
            $table->string('goal_rung')->nullable();
            $table->date('starts_on');
            $table->date('goal_on');
            $table->json('weekdays');
            $table->json('moves');
            $table->json('off');
            $table->unsignedInteger('minutes')->nullable();
            // What was agreed to, day by day: the curve the real one is held against.
            $table->json('agreed');
            $table->string('agreed_at');
            $table->string('state')->default('open');
            $table->unsignedInteger('version')->default(1);
            $table->foreignId('created_by')->constrained('users');
            $table->timestamps();
            $table->index(['athlete_id', 'state']);
        });
        Schema::table('sheets', function (Blueprint $table): void {
            // No foreign key: SQLite would have to copy the table. A season that is closed keeps its sheets.
            $table->uuid('season_id')->nullable()->index();
            $table->json('pace')->nullable();
            // What to work on, from what was seen last: ids of faults, the most important first.
            $table->json('focus')->nullable();
            // A sheet made ahead is fitted to a calm day; on its own day it is fitted anew, to the word.
            $table->date('fitted_on')->nullable();
        });
        // Where the groups are, with what: one plan for the whole squad's session.
        Schema::table('training_sessions', function (Blueprint $table): void {
            $table->json('stations')->nullable();
            $table->unsignedInteger('minutes')->nullable();
            // Ids of the objects at hand; null: whatever the rungs ask for.
            $table->json('objects')->nullable();
            $table->unsignedInteger('version')->default(1);
        });
        // A club's own rule sets, each version kept.
        Schema::create('rule_sets', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workspace_id')->constrained()->cascadeOnDelete();
            $table->string('slug');
            $table->unsignedInteger('version');
            $table->text('definition');
            $table->foreignId('saved_by')->constrained('users');
            $table->timestamp('saved_at');
            $table->unique(['workspace_id', 'slug', 'version']);
        });
        // One athlete's own share of a limit; the latest of a limit holds.
        Schema::create('limit_shares', function (Blueprint $table): void {
            $table->id();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('limit_id');
            $table->float('share');
            $table->string('reason')->nullable();
            $table->foreignId('set_by')->constrained('users');
            $table->timestamp('set_at');
            $table->index(['athlete_id', 'limit_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('limit_shares');
        Schema::dropIfExists('rule_sets');
        Schema::table('training_sessions', fn (Blueprint $table) => $table->dropColumn(['stations', 'minutes', 'objects', 'version']));
        Schema::table('sheets', function (Blueprint $table): void {
            $table->dropIndex(['season_id']);
            $table->dropColumn(['season_id', 'pace', 'focus', 'fitted_on']);
        });
        Schema::dropIfExists('seasons');
        Schema::dropIfExists('fixtures');
    }
};
