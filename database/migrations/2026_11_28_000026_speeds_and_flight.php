<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Derived from the pairing of readings with taps, so that a price need not pair a whole session.
        Schema::create('rep_speeds', function (Blueprint $table): void {
            $table->uuid('rep_id')->primary();
            $table->foreignUuid('sheet_id')->index()->constrained()->cascadeOnDelete();
            $table->double('speed_ms');
        });
        // A club's own numbers of balls and of nets: whole documents, each version kept.
        Schema::create('flight_tables', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workspace_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 10);
            $table->unsignedInteger('version');
            $table->longText('definition');
            $table->foreignId('saved_by')->index()->constrained('users');
            $table->timestamp('saved_at');
            $table->unique(['workspace_id', 'kind', 'version']);
        });
        // A club's own drills, each version of them.
        Schema::create('club_drills', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workspace_id')->constrained()->cascadeOnDelete();
            $table->string('slug', 100);
            $table->unsignedInteger('version');
            $table->longText('definition');
            $table->foreignId('saved_by')->index()->constrained('users');
            $table->timestamp('saved_at');
            $table->unique(['workspace_id', 'slug', 'version']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('club_drills');
        Schema::dropIfExists('flight_tables');
        Schema::dropIfExists('rep_speeds');
    }
};
