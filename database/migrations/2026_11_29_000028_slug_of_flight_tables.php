<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // They are versioned documents like ladders, which go by a slug.
        Schema::table('flight_tables', function (Blueprint $table): void {
            $table->dropUnique(['workspace_id', 'kind', 'version']);
        });
        Schema::table('flight_tables', function (Blueprint $table): void {
            $table->renameColumn('kind', 'slug');
            $table->unique(['workspace_id', 'slug', 'version']);
        });
    }

    public function down(): void
    {
        Schema::table('flight_tables', function (Blueprint $table): void {
            $table->dropUnique(['workspace_id', 'slug', 'version']);
        });
        Schema::table('flight_tables', function (Blueprint $table): void {
            $table->renameColumn('slug', 'kind');
            $table->unique(['workspace_id', 'kind', 'version']);
        });
    }
};
