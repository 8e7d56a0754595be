<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Which squads a coach or assistant works with, which athletes a clinician sees, and who an athlete's own account or guardian is.
        Schema::create('squad_user', function (Blueprint $table): void {
            $table->foreignId('squad_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->primary(['squad_id', 'user_id']);
        });
        Schema::create('athlete_user', function (Blueprint $table): void {
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->primary(['athlete_id', 'user_id']);
        });
        // Links carry a random token that is kept only as its hash: a personal check-in page, an invitation, a new password.
        Schema::create('links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workspace_id')->constrained()->cascadeOnDelete();
            $table->string('purpose');
            $table->string('token_hash', 64)->unique();
            $table->foreignUuid('athlete_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('label');
            $table->json('details')->nullable();
            $table->foreignId('made_by')->constrained('users');
            $table->timestamp('expires_at');
            $table->timestamp('revoked_at')->nullable();
            $table->timestamp('used_at')->nullable();
            $table->timestamps();
            $table->index(['athlete_id', 'purpose']);
        });
        Schema::create('sessions', function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->foreignId('user_id')->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity')->index();
        });
        Schema::create('wellness', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('at');
            $table->date('day');
            $table->unsignedTinyInteger('sleep')->nullable();
            $table->unsignedTinyInteger('energy')->nullable();
            $table->string('ill')->nullable();
            $table->timestamp('received_at');
            $table->index(['athlete_id', 'day']);
        });
        Schema::create('known_conditions', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('site');
            $table->string('side')->nullable();
            $table->string('kind');
            $table->unsignedTinyInteger('up_to_score');
            $table->date('from_day');
            $table->date('until_day');
            $table->text('note')->nullable();
            $table->foreignId('set_by')->constrained('users');
            $table->timestamp('set_at');
            $table->timestamp('ended_at')->nullable();
            $table->index('athlete_id');
        });
        Schema::table('soreness_reports', function (Blueprint $table): void {
            // A report from a personal link has no account behind it.
            $table->foreignId('reported_by')->nullable()->change();
            $table->foreignId('link_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamp('withdrawn_at')->nullable();
        });
        Schema::create('intakes', function (Blueprint $table): void {
            $table->foreignUuid('athlete_id')->primary()->constrained()->cascadeOnDelete();
            $table->text('sports')->nullable();
            $table->text('past_injuries')->nullable();
            $table->text('emergency_contact')->nullable();
            $table->text('emergency_plan')->nullable();
            $table->json('usual_week')->nullable();
            $table->string('usual_week_signed_by')->nullable();
            $table->date('usual_week_on')->nullable();
            $table->string('consent_record_by')->nullable();
            $table->date('consent_record_on')->nullable();
            $table->string('consent_film_by')->nullable();
            $table->date('consent_film_on')->nullable();
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
        });
        Schema::create('heights', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->date('measured_on');
            $table->float('height_cm');
            $table->foreignId('recorded_by')->constrained('users');
            $table->timestamp('recorded_at');
            $table->index(['athlete_id', 'measured_on']);
        });
        Schema::table('workspaces', function (Blueprint $table): void {
            $table->boolean('asks_wellness')->default(true);
        });
        Schema::table('athletes', function (Blueprint $table): void {
            $table->timestamp('erased_at')->nullable();
        });
        // Who did what to whose record (spatie/laravel-activitylog). Written by the application alone, read by the coach.
        Schema::create('activity_log', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workspace_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('log_name')->nullable()->index();
            $table->text('description');
            $table->string('subject_type')->nullable();
            $table->string('subject_id')->nullable();
            $table->string('event')->nullable();
            $table->string('causer_type')->nullable();
            $table->unsignedBigInteger('causer_id')->nullable();
            $table->json('properties')->nullable();
            $table->uuid('batch_uuid')->nullable();
            $table->timestamps();
            $table->index(['subject_type', 'subject_id']);
            $table->index(['workspace_id', 'created_at']);
        });
    }

    public function down(): void
    {
        Schema::table('athletes', fn (Blueprint $table) => $table->dropColumn('erased_at'));
        Schema::table('workspaces', fn (Blueprint $table) => $table->dropColumn('asks_wellness'));
        Schema::table('soreness_reports', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('link_id');
            $table->dropColumn('withdrawn_at');
        });
        foreach (
            [
                'activity_log', 'heights', 'intakes', 'known_conditions', 'wellness', 'sessions', 'links',
                'athlete_user', 'squad_user',
            ] as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
