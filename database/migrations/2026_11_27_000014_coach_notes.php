<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What whoever ran a session wants remembered at the next one: of the squad, or of one athlete.
        Schema::create('coach_notes', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('training_session_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignUuid('athlete_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->foreignId('squad_id')->index()->constrained()->cascadeOnDelete();
            $table->text('text');
            $table->foreignId('written_by')->index()->constrained('users');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('coach_notes');
    }
};
