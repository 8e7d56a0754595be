<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What counts of a usual week that lies far off what else is known, until somebody says that it is right; null: as declared.
        Schema::table('intakes', fn (Blueprint $table) => $table->json('usual_week_until_sure')->nullable());
        // A season kept for a whole squad, whose weeks the worker has still to work out.
        Schema::table('seasons', fn (Blueprint $table) => $table->boolean('waiting')->default(false));
    }

    public function down(): void
    {
        Schema::table('seasons', fn (Blueprint $table) => $table->dropColumn('waiting'));
        Schema::table('intakes', fn (Blueprint $table) => $table->dropColumn('usual_week_until_sure'));
    }
};
