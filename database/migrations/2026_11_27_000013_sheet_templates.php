<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Doses put together on a sheet, kept for the squad. Nothing of the athlete they were given to.
        Schema::create('sheet_templates', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('squad_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->string('ladder');
            $table->string('rung');
            $table->json('blocks');
            $table->foreignId('made_by')->index()->constrained('users');
            $table->timestamps();
            $table->unique(['squad_id', 'name']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('sheet_templates');
    }
};
