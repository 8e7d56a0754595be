<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('workspaces', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('timezone');
            $table->timestamps();
        });
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workspace_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('password');
            $table->string('role');
            // Closed, not deleted: what somebody recorded keeps its name.
            $table->timestamp('closed_at')->nullable();
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('squads', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workspace_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->string('rule_set');
            $table->string('school')->nullable();
            $table->timestamps();
        });
        Schema::create('athletes', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('workspace_id')->constrained()->cascadeOnDelete();
            $table->string('given_name');
            $table->string('family_name');
            $table->date('birth_date')->nullable();
            $table->string('throwing_side');
            $table->string('turn_direction')->nullable();
            // Raised with every change to the athlete's records; what was worked out from them holds as long as it stands.
            $table->unsignedBigInteger('revision')->default(0);
            $table->timestamps();
        });
        Schema::create('athlete_squad', function (Blueprint $table): void {
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->foreignId('squad_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->primary(['athlete_id', 'squad_id']);
        });
        Schema::create('skill_marks', function (Blueprint $table): void {
            $table->id();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('skill');
            $table->float('longest_throw_m')->nullable();
            $table->float('reference_speed_ms')->nullable();
            $table->date('measured_on');
            $table->index(['athlete_id', 'skill', 'measured_on']);
        });
    }

    public function down(): void
    {
        foreach (['skill_marks', 'athlete_squad', 'athletes', 'squads', 'users', 'workspaces'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
