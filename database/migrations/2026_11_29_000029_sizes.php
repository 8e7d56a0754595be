<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A club's own ages and hands: whole documents, each version kept.
        Schema::create('size_tables', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workspace_id')->constrained()->cascadeOnDelete();
            $table->string('slug', 100);
            $table->unsignedInteger('version');
            $table->longText('definition');
            $table->foreignId('saved_by')->index()->constrained('users');
            $table->timestamp('saved_at');
            $table->unique(['workspace_id', 'slug', 'version']);
        });
        // What an athlete throws whatever the table says; the last one counts, and none is by the table again.
        Schema::create('own_sizes', function (Blueprint $table): void {
            $table->id();
            $table->foreignUuid('athlete_id')->constrained()->cascadeOnDelete();
            $table->string('size_table', 100);
            $table->string('object', 100)->nullable();
            $table->foreignId('chosen_by')->index()->constrained('users');
            $table->timestamp('chosen_at');
            $table->index(['athlete_id', 'size_table', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('own_sizes');
        Schema::dropIfExists('size_tables');
    }
};
