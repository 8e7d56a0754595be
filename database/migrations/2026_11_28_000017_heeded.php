<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What the coach took and left of what the record suggests: see Heeded. Null: nothing of either.
        Schema::table('seasons', function (Blueprint $table): void {
            $table->text('heeded')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('seasons', function (Blueprint $table): void {
            $table->dropColumn('heeded');
        });
    }
};
