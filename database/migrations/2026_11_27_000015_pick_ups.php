<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Whom a guardian named: a child may be handed to them.
        Schema::create('collectors', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->index()->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->foreignId('named_by')->index()->constrained('users');
            $table->timestamps();
        });
        // Who went home with whom; gone after thirty days.
        Schema::create('pick_ups', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('training_session_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignUuid('athlete_id')->index()->constrained()->cascadeOnDelete();
            $table->date('day')->index();
            $table->string('collected_by');
            $table->boolean('on_list');
            $table->foreignId('noted_by')->index()->constrained('users');
            $table->timestamps();
            $table->unique(['training_session_id', 'athlete_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('pick_ups');
        Schema::dropIfExists('collectors');
    }
};
