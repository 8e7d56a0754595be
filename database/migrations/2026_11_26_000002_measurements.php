<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        foreach (['heights', 'skill_marks'] as $name) {
            Schema::table($name, function (Blueprint $table) use ($name): void {
                // Far off the others, and nobody has said yet that it is right: until then the safer value counts.
                $table->boolean('doubted')->default(false);
                $table->timestamp('withdrawn_at')->nullable();
                $table->unsignedBigInteger('withdrawn_by')->nullable();
                if ($name === 'skill_marks') {
                    $table->unsignedBigInteger('recorded_by')->nullable();
                    $table->timestamp('recorded_at')->nullable();
                }
            });
        }
        // The floor that a session lands on; null: nobody said, and that counts as hard.
        Schema::table('training_sessions', fn (Blueprint $table) => $table->string('floor')->nullable());
        Schema::table('squads', fn (Blueprint $table) => $table->string('floor')->nullable());
        // The parts a block loads, counted or not; null: those of its skill.
        Schema::table('sheet_blocks', fn (Blueprint $table) => $table->json('loads')->nullable());
    }

    public function down(): void
    {
        Schema::table('sheet_blocks', fn (Blueprint $table) => $table->dropColumn('loads'));
        Schema::table('squads', fn (Blueprint $table) => $table->dropColumn('floor'));
        Schema::table('training_sessions', fn (Blueprint $table) => $table->dropColumn('floor'));
        Schema::table('heights', fn (Blueprint $table) => $table->dropColumn(['doubted', 'withdrawn_at', 'withdrawn_by']));
        Schema::table(
            'skill_marks',
            fn (Blueprint $table) => $table->dropColumn(['doubted', 'withdrawn_at', 'withdrawn_by', 'recorded_by', 'recorded_at']),
        );
    }
};
