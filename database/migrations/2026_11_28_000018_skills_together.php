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
            $table->boolean('tests')->default(false);
        });
        // What is measured of the body without a throw: how high somebody jumps, and how strong and how far either side goes.
        Schema::create('body_measures', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('what', 40);
            $table->string('side', 10)->nullable();
            $table->float('value');
            $table->date('measured_on');
            $table->foreignId('recorded_by')->index()->constrained('users');
            $table->timestamp('recorded_at');
            $table->timestamp('withdrawn_at')->nullable();
            $table->foreignId('withdrawn_by')->nullable()->index()->constrained('users');
            $table->index(['athlete_id', 'what', 'measured_on']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('body_measures');
        Schema::table('seasons', function (Blueprint $table): void {
            $table->dropColumn(['place', 'leads', 'evenly', 'tests']);
        });
    }
};
