<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Whether somebody has said who plays; until then a match of a squad is everybody's.
        Schema::table('fixtures', fn (Blueprint $table) => $table->boolean('lined_up')->default(false));
        // Who plays, with what each is expected to do.
        Schema::create('line_ups', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('fixture_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->json('doses');
            $table->unique(['fixture_id', 'athlete_id']);
            $table->index('athlete_id');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('line_ups');
        Schema::table('fixtures', fn (Blueprint $table) => $table->dropColumn('lined_up'));
    }
};
