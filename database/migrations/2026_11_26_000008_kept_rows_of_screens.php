<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Rows of more than one screen are kept. What was kept is worked out anew. */
return new class extends Migration
{
    public function up(): void
    {
        $this->table(true);
    }

    public function down(): void
    {
        $this->table(false);
    }

    private function table(bool $ofScreens): void
    {
        Schema::drop('kept_rows');
        Schema::create('kept_rows', function (Blueprint $table) use ($ofScreens): void {
            $table->foreignUuid('athlete_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('squad_id')->constrained()->cascadeOnDelete();
            if ($ofScreens) {
                $table->string('screen');
            }
            $table->string('key');
            $table->text('row');
            $table->primary($ofScreens ? ['squad_id', 'screen', 'athlete_id'] : ['squad_id', 'athlete_id']);
        });
    }
};
