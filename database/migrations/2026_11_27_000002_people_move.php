<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Out of sight with the whole record; the squads are remembered, for whoever comes back.
        Schema::table('athletes', fn (Blueprint $table) => $table->date('retired_on')->nullable());
        Schema::table('athlete_squad', fn (Blueprint $table) => $table->date('left_on')->nullable());
        Schema::table('squads', fn (Blueprint $table) => $table->date('archived_on')->nullable());
    }

    public function down(): void
    {
        Schema::table('squads', fn (Blueprint $table) => $table->dropColumn('archived_on'));
        Schema::table('athlete_squad', fn (Blueprint $table) => $table->dropColumn('left_on'));
        Schema::table('athletes', fn (Blueprint $table) => $table->dropColumn('retired_on'));
    }
};
