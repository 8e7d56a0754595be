<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // The ladder a score belongs to: it is not looked at while that ladder ignores where it lands.
        Schema::table('scores', fn (Blueprint $table) => $table->string('ladder')->nullable());
        // Right or wrong by checkpoint, where somebody looked that closely.
        Schema::table('rep_events', fn (Blueprint $table) => $table->json('seen')->nullable());
        Schema::table('rep_strips', function (Blueprint $table): void {
            // The marks of varied practice among them, and right and seen by checkpoint.
            $table->text('varied')->default('');
            $table->json('checkpoints')->nullable();
        });
        // How long one pace of this coach is, in metres: distances are stepped out.
        Schema::table('users', fn (Blueprint $table) => $table->float('pace_m')->default(0.8));
        // A newcomer looked at rung by rung, until the place is found.
        Schema::table('placements', fn (Blueprint $table) => $table->boolean('placing')->default(false));
    }

    public function down(): void
    {
        Schema::table('scores', fn (Blueprint $table) => $table->dropColumn('ladder'));
        Schema::table('placements', fn (Blueprint $table) => $table->dropColumn('placing'));
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn('pace_m'));
        Schema::table('rep_strips', fn (Blueprint $table) => $table->dropColumn(['varied', 'checkpoints']));
        Schema::table('rep_events', fn (Blueprint $table) => $table->dropColumn('seen'));
    }
};
