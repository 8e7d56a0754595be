<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Where the club trains, with what is there: said once, used by every session that names it.
        Schema::create('venues', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('workspace_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->double('length_m')->nullable();
            $table->double('width_m')->nullable();
            $table->string('floor')->nullable();
            $table->unsignedInteger('balls')->nullable();
            // Ids of the library; null: whatever is asked for is there.
            $table->json('objects')->nullable();
            $table->timestamps();
            $table->unique(['workspace_id', 'name']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('venues');
    }
};
