<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A decision that would not pass any more, since repetitions it stood on were put right.
        Schema::create('second_looks', function (Blueprint $table): void {
            $table->uuid('decision_id')->primary();
            $table->foreign('decision_id')->references('id')->on('decisions')->cascadeOnDelete();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            // The criteria, with the figures of today: a reason, no sentence.
            $table->json('failing');
            $table->json('gate');
            $table->timestamp('found_at');
            $table->string('answer')->nullable();
            $table->string('reason')->nullable();
            $table->foreignId('answered_by')->nullable()->constrained('users');
            $table->timestamp('answered_at')->nullable();
            $table->index(['athlete_id', 'answered_at']);
            $table->index('answered_by');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('second_looks');
    }
};
