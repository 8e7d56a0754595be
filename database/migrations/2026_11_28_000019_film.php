<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

return new class extends Migration
{
    public function up(): void
    {
        // Who agreed to be filmed, or for whom: on a page of their own, or on paper before a second person.
        Schema::create('film_consents', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->index()->constrained()->cascadeOnDelete();
            $table->string('role', 10);
            $table->string('given_by', 120);
            $table->boolean('own_page');
            $table->string('second_person', 120)->nullable();
            $table->date('given_on');
            $table->foreignId('recorded_by')->nullable()->index()->constrained('users');
            $table->timestamp('recorded_at');
            // the day of the club
            $table->date('withdrawn_on')->nullable();
        });
        // What was measured of a clip. The clip itself never leaves the device it was opened on.
        Schema::create('clips', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('ladder');
            $table->unsignedInteger('ladder_version');
            $table->string('rung');
            $table->date('filmed_on');
            // pictures a second as they were taken; null: not known, and then no time is told
            $table->float('pictures_a_second')->nullable();
            $table->json('setting');
            $table->json('marks');
            $table->json('seen');
            $table->foreignId('kept_by')->index()->constrained('users');
            $table->timestamp('kept_at');
            $table->timestamp('withdrawn_at')->nullable();
            $table->foreignId('withdrawn_by')->nullable()->index()->constrained('users');
            $table->index(['athlete_id', 'filmed_on']);
        });
        // Up to three points to work on, each with its picture as points: behind a link, and the focus of the next sessions.
        Schema::create('film_reviews', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('ladder');
            $table->unsignedInteger('ladder_version');
            $table->string('rung');
            $table->json('points');
            $table->string('next_time', 300)->nullable();
            $table->foreignId('link_id')->nullable()->index()->constrained('links')->nullOnDelete();
            $table->unsignedInteger('opened')->default(0);
            $table->foreignId('made_by')->index()->constrained('users');
            $table->date('made_on');
            $table->timestamp('made_at');
            $table->timestamp('withdrawn_at')->nullable();
            $table->index(['athlete_id', 'made_on']);
        });
        // Whose page a personal link opens: it says whose consent can be given there. Null: it was not said.
        Schema::table('links', fn (Blueprint $table) => $table->string('held_by', 10)->nullable());
        foreach (DB::table('intakes')->whereNotNull('consent_film_by')->get() as $intake) {
            // Nobody wrote down who saw it signed: it is kept, and does not open a camera until somebody does.
            DB::table('film_consents')->insert([
                'id' => (string) Str::uuid7(), 'athlete_id' => $intake->athlete_id, 'role' => 'guardian',
                'given_by' => $intake->consent_film_by, 'own_page' => false, 'second_person' => null,
                'given_on' => $intake->consent_film_on ?? substr((string) $intake->updated_at, 0, 10), 'recorded_at' => $intake->updated_at,
            ]);
        }
        Schema::table('intakes', fn (Blueprint $table) => $table->dropColumn(['consent_film_by', 'consent_film_on']));
    }

    public function down(): void
    {
        Schema::table('intakes', function (Blueprint $table): void {
            $table->string('consent_film_by')->nullable();
            $table->date('consent_film_on')->nullable();
        });
        Schema::table('links', fn (Blueprint $table) => $table->dropColumn('held_by'));
        Schema::dropIfExists('film_reviews');
        Schema::dropIfExists('clips');
        Schema::dropIfExists('film_consents');
    }
};
