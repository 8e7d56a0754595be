<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Ramsey\Uuid\Uuid;

return new class extends Migration
{
    public function up(): void
    {
        // Days somebody is not there, or ill.
        Schema::create('absences', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->boolean('fever');
            $table->date('from_day');
            // As expected.
            $table->date('until_day');
            // The last day of it, as somebody said afterwards: an illness is over when that is said.
            $table->date('ended_on')->nullable();
            $table->string('note')->nullable();
            // An answer to “ill today?” opened it.
            $table->boolean('from_check_in')->default(false);
            // null: by a personal page
            $table->foreignId('entered_by')->nullable()->constrained('users');
            $table->timestamp('entered_at');
            $table->timestamp('withdrawn_at')->nullable();
            $table->index(['athlete_id', 'until_day']);
            $table->index('entered_by');
        });
        // A fever answered before now has its way back, too.
        $recent = DB::table('wellness')->where('ill', 'fever')->where('day', '>=', Carbon::now()->subDays(2)->toDateString())->get();
        foreach ($recent->sortBy('day')->keyBy('athlete_id') as $answer) {
            DB::table('absences')->insert([
                'id' => Uuid::uuid7()->toString(), 'athlete_id' => $answer->athlete_id, 'kind' => 'ill', 'fever' => true,
                'from_day' => $answer->day, 'until_day' => $answer->day, 'from_check_in' => true, 'entered_at' => Carbon::now(),
            ]);
        }
        // What a clinician allows, with dates: it binds every plan.
        Schema::create('restrictions', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('covers');
            $table->date('from_day');
            $table->date('none_until')->nullable();
            $table->date('until_day');
            $table->float('effort_max')->nullable();
            $table->integer('reps_a_day')->nullable();
            $table->string('clinician_name');
            $table->string('note')->nullable();
            $table->foreignId('set_by')->constrained('users');
            $table->timestamp('set_at');
            $table->timestamp('lifted_at')->nullable();
            $table->foreignId('lifted_by')->nullable()->constrained('users');
            $table->index(['athlete_id', 'until_day']);
            $table->index('set_by');
            $table->index('lifted_by');
        });
        // What happened to somebody, kept open until it is closed.
        Schema::create('incidents', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->string('at');
            $table->text('what');
            // A report of a head knock opens one by itself.
            $table->uuid('report_id')->nullable()->unique();
            $table->foreignId('opened_by')->nullable()->constrained('users');
            $table->timestamp('opened_at');
            $table->timestamp('closed_at')->nullable();
            $table->foreignId('closed_by')->nullable()->constrained('users');
            $table->index(['athlete_id', 'closed_at']);
            $table->index('opened_by');
            $table->index('closed_by');
        });
        // What was done, who was told: added, never changed.
        Schema::create('incident_entries', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('incident_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->string('at');
            $table->string('who')->nullable();
            $table->text('text');
            $table->foreignId('made_by')->constrained('users');
            $table->timestamp('made_at');
            $table->index(['incident_id', 'made_at']);
            $table->index('made_by');
        });
    }

    public function down(): void
    {
        foreach (['incident_entries', 'incidents', 'restrictions', 'absences'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
