<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What measures and counts for a club, and speaks with a token of its own.
        Schema::create('devices', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('workspace_id')->index()->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->string('kind', 20);
            $table->string('token_hash', 64)->unique();
            $table->foreignId('made_by')->nullable()->index()->constrained('users');
            $table->timestamp('made_at');
            $table->timestamp('revoked_at')->nullable();
            $table->timestamp('heard_at')->nullable();
            $table->double('battery')->nullable();
            // how far its clock is behind ours, as it last told
            $table->double('clock_off_s')->nullable();
        });
        // To whom it was lent, and when: what came in then belongs there.
        Schema::create('device_loans', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('device_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('squad_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignUuid('athlete_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->double('from_s');
            $table->double('until_s')->nullable();
            $table->foreignId('lent_by')->nullable()->index()->constrained('users');
        });
        Schema::create('readings', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('device_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('seq');
            // by our clock, in seconds; and as its own clock had it
            $table->double('at_s');
            $table->string('device_at', 40);
            $table->timestamp('received_at');
            $table->json('measured');
            $table->foreignId('squad_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignUuid('athlete_id')->nullable()->constrained()->cascadeOnDelete();
            // named by a person; what is paired by the clock is worked out when it is looked at
            $table->uuid('rep_id')->nullable();
            // what a person said of it: 'aside', no repetition; 'counts', one that nobody tapped
            $table->string('word', 10)->nullable();
            $table->foreignId('word_by')->nullable()->index()->constrained('users');
            $table->index(['device_id', 'seq']);
            $table->index(['squad_id', 'at_s']);
            $table->index(['athlete_id', 'at_s']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('readings');
        Schema::dropIfExists('device_loans');
        Schema::dropIfExists('devices');
    }
};
