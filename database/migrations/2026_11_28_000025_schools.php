<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // How a squad or one athlete is taught where practitioners disagree; what is not chosen is as the library has it.
        Schema::create('schools', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('squad_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->foreignUuid('athlete_id')->nullable()->index()->constrained()->cascadeOnDelete();
            // null: all ladders
            $table->string('ladder', 100)->nullable();
            $table->string('question', 30);
            $table->string('answer', 30);
            $table->foreignId('chosen_by')->index()->constrained('users');
            $table->timestamp('chosen_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('schools');
    }
};
