<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A club's own ladders, each version kept: what was done on one is never read by another.
        Schema::create('ladders', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workspace_id')->constrained()->cascadeOnDelete();
            $table->string('slug');
            $table->unsignedInteger('version');
            $table->text('definition');
            $table->foreignId('saved_by')->constrained('users');
            $table->timestamp('saved_at');
            $table->unique(['slug', 'version']);
            $table->index(['workspace_id', 'slug']);
        });
        // Set when somebody goes on on another ladder, or stops: what was climbed stays held.
        Schema::table('placements', fn (Blueprint $table) => $table->date('left_on')->nullable());
    }

    public function down(): void
    {
        Schema::table('placements', fn (Blueprint $table) => $table->dropColumn('left_on'));
        Schema::dropIfExists('ladders');
    }
};
