<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Who agreed that somebody sees an athlete; those shared by an invitation carry nothing here.
        Schema::table('athlete_user', function (Blueprint $table): void {
            $table->string('agreed_by')->nullable();
            $table->date('agreed_on')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('athlete_user', fn (Blueprint $table) => $table->dropColumn(['agreed_by', 'agreed_on']));
    }
};
