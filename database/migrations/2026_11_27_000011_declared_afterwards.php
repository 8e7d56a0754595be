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
        // A match that was declared when it was over loosens nothing.
        Schema::table('fixtures', fn (Blueprint $table) => $table->date('declared_on')->nullable());
        DB::table('fixtures')->update(['declared_on' => DB::raw('case when created_at is null then held_on else date(created_at) end')]);
    }

    public function down(): void
    {
        Schema::table('fixtures', fn (Blueprint $table) => $table->dropColumn('declared_on'));
    }
};
