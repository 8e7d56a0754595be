<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('film_consents', function (Blueprint $table): void {
            // to be measured on the coach's device, or to a clip being sent in
            $table->string('kind', 10)->default('measure');
            // what was agreed to before this was asked said nothing of pictures that are saved
            $table->boolean('pictures')->default(false);
        });
        // A saved picture of a moment, cut to the athlete; the picture itself is a file.
        Schema::create('film_pictures', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignUuid('clip_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('rep');
            $table->string('moment', 60);
            $table->timestamp('kept_at');
            // the day of the club on which the file was erased, with the consent
            $table->date('gone_on')->nullable();
            $table->unique(['clip_id', 'rep', 'moment']);
        });
        // What whoever holds the page saw before they read what the coach saw.
        Schema::table('film_reviews', fn (Blueprint $table) => $table->json('own')->nullable());
        // One clip a coach asked for, sent in from the personal page.
        Schema::create('asked_clips', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->index()->constrained()->cascadeOnDelete();
            $table->string('ladder');
            $table->string('what', 300);
            $table->foreignId('asked_by')->index()->constrained('users');
            $table->timestamp('asked_at');
            $table->timestamp('open_until');
            $table->timestamp('sent_at')->nullable();
            $table->unsignedInteger('bytes')->nullable();
            // stays after the review, until it is deleted or the consent is taken back
            $table->boolean('kept')->default(false);
            $table->timestamp('ended_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('asked_clips');
        Schema::table('film_reviews', fn (Blueprint $table) => $table->dropColumn('own'));
        Schema::dropIfExists('film_pictures');
        Schema::table('film_consents', fn (Blueprint $table) => $table->dropColumn(['kind', 'pictures']));
    }
};
