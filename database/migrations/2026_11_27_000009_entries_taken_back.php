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
        Schema::table('corrections', function (Blueprint $table): void {
            // A score, logged work or a spreadsheet has no sheet.
            $table->uuid('sheet_id')->nullable()->change();
            // What it was instead, and of which day: source and day, never a name.
            $table->json('entry')->nullable();
        });
    }

    public function down(): void
    {
        DB::table('corrections')->whereNull('sheet_id')->delete();
        Schema::table('corrections', function (Blueprint $table): void {
            $table->dropColumn('entry');
            $table->uuid('sheet_id')->nullable(false)->change();
        });
    }
};
