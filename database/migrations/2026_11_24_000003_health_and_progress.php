<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('soreness_reports', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('at');
            $table->date('day');
            $table->string('moment');
            $table->string('site');
            $table->string('side')->nullable();
            $table->string('kind');
            $table->unsignedTinyInteger('score');
            // Whether the report refers by itself: such a one stays open whatever its age, so it must be found fast.
            $table->boolean('refers');
            $table->text('note')->nullable();
            $table->foreignId('reported_by')->constrained('users');
            $table->timestamp('received_at');
            $table->index(['athlete_id', 'day']);
            $table->index(['refers', 'athlete_id']);
        });
        Schema::create('clearances', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('at');
            $table->json('sites')->nullable();
            $table->string('clinician_name');
            $table->string('clinician_role');
            $table->date('document_date');
            $table->text('note')->nullable();
            $table->foreignId('recorded_by')->constrained('users');
            $table->timestamp('received_at');
            $table->index('athlete_id');
        });
        Schema::create('decisions', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('ladder');
            $table->unsignedInteger('ladder_version');
            $table->string('rung');
            $table->string('action');
            $table->string('to_rung');
            $table->json('evidence');
            $table->json('overridden');
            $table->text('reason')->nullable();
            $table->date('day');
            $table->foreignId('decided_by')->constrained('users');
            $table->timestamp('decided_at');
            $table->index(['athlete_id', 'ladder']);
        });
        Schema::create('placements', function (Blueprint $table): void {
            $table->id();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('ladder');
            $table->unsignedInteger('ladder_version');
            $table->string('rung');
            $table->date('entered_on');
            // Repetitions before this moment belong to an earlier visit to the rung.
            $table->string('entered_at');
            $table->foreignUuid('decision_id')->nullable()->constrained()->cascadeOnDelete();
            $table->index(['athlete_id', 'ladder']);
        });
        // Rows of Today as last worked out; derived, and good for one key only.
        Schema::create('kept_rows', function (Blueprint $table): void {
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->foreignId('squad_id')->constrained()->cascadeOnDelete();
            $table->string('key');
            $table->text('row');
            $table->primary(['squad_id', 'athlete_id']);
        });
    }

    public function down(): void
    {
        foreach (['kept_rows', 'placements', 'decisions', 'clearances', 'soreness_reports'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
