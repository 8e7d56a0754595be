<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What somebody does in a usual week, as it was said; the units are worked out from it.
        Schema::table('intakes', fn (Blueprint $table) => $table->json('usual_work')->nullable());
    }

    public function down(): void
    {
        Schema::table('intakes', fn (Blueprint $table) => $table->dropColumn('usual_work'));
    }
};
