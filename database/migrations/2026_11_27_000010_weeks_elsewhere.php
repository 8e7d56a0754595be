<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What somebody said of a week elsewhere: training of other clubs in it stands as expected no more.
        Schema::create('weeks_elsewhere', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->date('week');
            $table->string('answer');
            // Nobody: it was said on the personal page.
            $table->foreignId('told_by')->nullable()->constrained('users');
            $table->timestamp('told_at');
            $table->unique(['athlete_id', 'week']);
            $table->index('told_by');
        });
        // Nobody said what it took: the record took it as it was expected.
        Schema::table('work_sets', fn (Blueprint $table) => $table->boolean('estimated')->default(false));
    }

    public function down(): void
    {
        Schema::table('work_sets', fn (Blueprint $table) => $table->dropColumn('estimated'));
        Schema::dropIfExists('weeks_elsewhere');
    }
};
