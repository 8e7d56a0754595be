<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A round that was played on a block: made anew from the taps of its sheet, like the strip.
        Schema::table('scores', function (Blueprint $table): void {
            $table->foreignUuid('sheet_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->string('setup', 120)->nullable();
        });
        // Whether squad-mates who show theirs may see them.
        Schema::table('athletes', fn (Blueprint $table) => $table->boolean('shows_scores')->default(false));
    }

    public function down(): void
    {
        Schema::table('athletes', fn (Blueprint $table) => $table->dropColumn('shows_scores'));
        Schema::table('scores', function (Blueprint $table): void {
            $table->dropForeign(['sheet_id']);
            $table->dropIndex(['sheet_id']);
            $table->dropColumn(['sheet_id', 'setup']);
        });
    }
};
