<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where the averages of an athlete's work stood six weeks ago, so that a long record is looked at no longer than a short one. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('carried_work', function (Blueprint $table): void {
            $table->foreignUuid('athlete_id')->primary()->constrained()->cascadeOnDelete();
            $table->date('through');
            $table->date('first_day');
            $table->text('kinds');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('carried_work');
    }
};
