<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A club's own copies of return programmes; every saved version stays, the highest counts.
        Schema::create('programmes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workspace_id')->constrained()->cascadeOnDelete();
            $table->string('slug');
            $table->unsignedInteger('version');
            $table->json('definition');
            $table->foreignId('saved_by')->constrained('users');
            $table->timestamp('saved_at');
            $table->unique(['workspace_id', 'slug', 'version']);
        });
        Schema::create('returns', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('programme');
            $table->unsignedInteger('programme_version');
            // The programme as it stood when the return was opened: editing the file never rewrites a way already begun.
            $table->json('definition');
            $table->string('ladder');
            $table->string('site');
            $table->string('side')->nullable();
            $table->unsignedInteger('stage')->default(0);
            $table->date('not_before')->nullable();
            $table->string('state')->default('open');
            $table->float('usual_week');
            $table->date('opened_on');
            $table->foreignId('opened_by')->constrained('users');
            $table->date('ended_on')->nullable();
            $table->text('end_reason')->nullable();
            $table->timestamps();
            $table->index(['athlete_id', 'state']);
        });
        Schema::create('return_attempts', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('return_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('sheet_id')->nullable()->unique()->constrained()->nullOnDelete();
            $table->date('day');
            $table->unsignedInteger('stage');
            $table->boolean('completed');
            $table->unsignedTinyInteger('during');
            $table->boolean('eased');
            $table->boolean('joint_sore');
            $table->boolean('red_flag');
            // Entered by hand when the morning report was missed; otherwise read from the reports.
            $table->unsignedTinyInteger('morning_entered')->nullable();
            $table->foreignId('recorded_by')->constrained('users');
            $table->timestamp('recorded_at');
        });
        Schema::create('return_clearances', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('return_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('through_stage')->nullable();
            $table->string('clinician_name');
            $table->string('clinician_role');
            $table->date('document_date');
            $table->text('note')->nullable();
            $table->foreignId('recorded_by')->constrained('users');
            $table->timestamp('recorded_at');
        });
        Schema::create('return_steps', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('return_id')->constrained()->cascadeOnDelete();
            $table->uuid('attempt_id')->nullable();
            $table->string('action');
            $table->unsignedInteger('from_stage');
            $table->unsignedInteger('to_stage');
            $table->date('not_before')->nullable();
            $table->json('evidence');
            $table->foreignId('decided_by')->constrained('users');
            $table->timestamp('decided_at');
        });
        Schema::create('return_measures', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('return_id')->constrained()->cascadeOnDelete();
            $table->string('criterion');
            $table->float('injured');
            $table->float('sound');
            $table->string('measured_by');
            $table->date('measured_on');
            $table->foreignId('recorded_by')->constrained('users');
            $table->timestamp('recorded_at');
        });
        Schema::table('sheets', function (Blueprint $table): void {
            $table->foreignUuid('return_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedInteger('return_stage')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('sheets', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('return_id');
            $table->dropColumn('return_stage');
        });
        foreach (['return_measures', 'return_steps', 'return_clearances', 'return_attempts', 'returns', 'programmes'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
