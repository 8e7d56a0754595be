<?php

declare(strict_types=1);

use App\Records\PostgresCopy;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What several hosts of one club share when they have no Redis: the cache, and on PostgreSQL who was erased. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('cache', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->mediumText('value');
            $table->integer('expiration')->index();
        });
        Schema::create('cache_locks', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->string('owner');
            $table->integer('expiration')->index();
        });
        // A restore brings the tables of an older copy up to date; this one it must find as it was.
        if (DB::getDriverName() === 'pgsql' && ! Schema::hasTable(PostgresCopy::NOT_COPIED)) {
            Schema::create(PostgresCopy::NOT_COPIED, function (Blueprint $table): void {
                $table->uuid('athlete')->primary();
                $table->date('erased_on');
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('cache_locks');
        Schema::dropIfExists('cache');
    }
};
