<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // How a ball was held, and what it did: a line each time, so that one thing is changed at a time.
        Schema::create('grip_notes', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('ladder', 100);
            $table->date('day');
            $table->string('name', 60);
            $table->string('fingers', 200);
            $table->string('pressure', 200);
            $table->string('thumb', 200);
            $table->string('did', 200);
            $table->foreignId('kept_by')->index()->constrained('users');
            $table->timestamp('kept_at');
            $table->timestamp('withdrawn_at')->nullable();
            $table->foreignId('withdrawn_by')->nullable()->index()->constrained('users');
            $table->index(['athlete_id', 'ladder', 'name', 'day']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('grip_notes');
    }
};
