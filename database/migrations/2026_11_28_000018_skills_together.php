<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Several seasons of one athlete are planned together: in this order, heavy on these days of a fortnight (null: any), the room
        // shared evenly or in order.
        Schema::table('seasons', function (Blueprint $table): void {
            $table->smallInteger('place')->default(0);
            $table->text('leads')->nullable();
            $table->boolean('evenly')->default(false);
        });
    }

    public function down(): void
    {
        Schema::table('seasons', function (Blueprint $table): void {
            $table->dropColumn(['place', 'leads', 'evenly']);
        });
    }
};
