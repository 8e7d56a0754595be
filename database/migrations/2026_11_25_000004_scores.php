<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What was seen is kept, not only the number: a score can be read again as anything it holds.
        Schema::create('scores', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->string('name');
            $table->date('day');
            $table->string('at');
            $table->json('seen');
            $table->double('value');
            $table->double('goal')->nullable();
            $table->foreignId('taken_by')->constrained('users');
            $table->index(['athlete_id', 'kind', 'name', 'at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('scores');
    }
};
