<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // How a block is done: its feed, its tempo, the game on it. A copy like the dose, so that editing a ladder rewrites no sheet.
        Schema::table('sheet_blocks', fn (Blueprint $table) => $table->json('manner')->nullable());
    }

    public function down(): void
    {
        Schema::table('sheet_blocks', fn (Blueprint $table) => $table->dropColumn('manner'));
    }
};
