<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Out of sight; kept so that it can be taken back.
        Schema::table('sheet_templates', function (Blueprint $table): void {
            $table->timestamp('removed_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('sheet_templates', function (Blueprint $table): void {
            $table->dropColumn('removed_at');
        });
    }
};
