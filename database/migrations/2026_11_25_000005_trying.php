<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What is being tried from here on: a cue, a grip, a stance or a feed, in words; empty: as before.
        Schema::table('rep_events', fn (Blueprint $table) => $table->string('note')->nullable());
    }

    public function down(): void
    {
        Schema::table('rep_events', fn (Blueprint $table) => $table->dropColumn('note'));
    }
};
