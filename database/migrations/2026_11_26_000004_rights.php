<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('workspaces', fn (Blueprint $table) => $table->unsignedBigInteger('head_id')->nullable());
        Schema::table('users', function (Blueprint $table): void {
            // Who made the invitation the account came from.
            $table->unsignedBigInteger('invited_by')->nullable();
            // A clinician's account counts from then on: the head coach and the person have compared a code, face to face.
            $table->timestamp('confirmed_at')->nullable();
            $table->unsignedBigInteger('confirmed_by')->nullable();
            $table->string('code')->nullable();
        });
        foreach (DB::table('workspaces')->pluck('id') as $club) {
            $head = DB::table('users')
                ->where('workspace_id', $club)
                ->where('role', 'coach')
                ->whereNull('closed_at')
                ->whereNotIn('id', DB::table('squad_user')->select('user_id'))
                ->orderBy('id')
                ->value('id')
                ?? DB::table('users')
                    ->where('workspace_id', $club)
                    ->where('role', 'coach')
                    ->whereNull('closed_at')
                    ->orderBy('id')
                    ->value('id');
            DB::table('workspaces')->where('id', $club)->update(['head_id' => $head]);
        }
    }

    public function down(): void
    {
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn(['invited_by', 'confirmed_at', 'confirmed_by', 'code']));
        Schema::table('workspaces', fn (Blueprint $table) => $table->dropColumn('head_id'));
    }
};
