<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('training_sessions', function (Blueprint $table): void {
            // Those planned together, week after week; no foreign key: SQLite would have to copy the table.
            $table->uuid('series_id')->nullable()->index();
            // Changed on its own: what is changed for the whole series leaves it as it is.
            $table->boolean('own')->default(false);
            $table->string('state')->default('planned');
            // Why it was called off, in the coach's words.
            $table->string('reason')->nullable();
            // Where it was before it was moved: a season plans nothing there in its place.
            $table->date('first_on')->nullable();
            $table->string('place')->nullable();
            // Ladders worked on; null: the one each athlete is on last.
            $table->json('ladders')->nullable();
            // A session of weeks ahead is on the calendar before anybody has a sheet in it.
            $table->boolean('has_sheets')->default(true);
            // Made by a season for a day on which the squad has none.
            $table->boolean('extra')->default(false);
            // Put on the calendar after its day.
            $table->boolean('entered_late')->default(false);
        });
        DB::table('training_sessions')->where('title', 'Season session')->update(['extra' => true]);
        // The day on which a season's next weeks were last put on the calendar.
        Schema::table('seasons', fn (Blueprint $table) => $table->date('followed_on')->nullable());
        // A score that was taken back stays, with who and when; its load goes.
        Schema::table('scores', function (Blueprint $table): void {
            $table->timestamp('withdrawn_at')->nullable();
            $table->foreignId('withdrawn_by')->nullable();
        });
        // Counts entered after the fact, or put right: what stood there, what stands there now, who and why. The taps say it as well.
        Schema::create('corrections', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->foreignUuid('sheet_id')->constrained()->cascadeOnDelete();
            // By block: how many there were, how many there are.
            $table->json('counts');
            $table->boolean('lowers');
            $table->string('reason')->nullable();
            $table->foreignId('made_by')->constrained('users');
            $table->timestamp('made_at');
            $table->index(['athlete_id', 'made_at']);
            $table->index('sheet_id');
            $table->index('made_by');
        });
        // What was done to the plan of a squad, with what was there before: one change can be taken back as a whole.
        Schema::create('session_changes', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('squad_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            // Of whom and when: ids, days and hours, never a name.
            $table->json('about');
            $table->json('before');
            $table->foreignId('made_by')->constrained('users');
            $table->timestamp('made_at');
            $table->timestamp('taken_back_at')->nullable();
            $table->index(['squad_id', 'made_at']);
            $table->index('made_by');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('session_changes');
        Schema::dropIfExists('corrections');
        Schema::table('scores', fn (Blueprint $table) => $table->dropColumn(['withdrawn_at', 'withdrawn_by']));
        Schema::table('seasons', fn (Blueprint $table) => $table->dropColumn('followed_on'));
        // Without the word for it, a sheet that was called off would be done by nobody and count for ever.
        DB::table('sheets')->where('state', 'called_off')->delete();
        DB::table('training_sessions')->where('state', '!=', 'planned')->delete();
        Schema::table('training_sessions', function (Blueprint $table): void {
            $table->dropIndex(['series_id']);
            $table->dropColumn([
                'series_id', 'own', 'state', 'reason', 'first_on', 'place', 'ladders', 'has_sheets', 'extra', 'entered_late',
            ]);
        });
    }
};
