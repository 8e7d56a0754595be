<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What somebody said of one planned strength session, band work or sprints: done, or not.
        Schema::create('work_beside', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('fixture_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('athlete_id')->index()->constrained()->cascadeOnDelete();
            $table->boolean('done');
            $table->foreignId('told_by')->nullable()->index()->constrained('users');
            $table->timestamp('told_at');
            $table->unique(['fixture_id', 'athlete_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('work_beside');
    }
};
