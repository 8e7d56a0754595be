<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Nothing that is kept names a class: classes move from room to room, what was kept stays as it is. And nothing new is kept in words:
 * planned sheets say their reasons anew; what was worked or edited keeps the words it was done with, and is read as that.
 */
return new class extends Migration
{
    private const NAMES = ['App\Models\Athlete' => 'athlete', 'App\Models\User' => 'user'];

    public function up(): void
    {
        $this->rename(self::NAMES);
        DB::table('sheets')
            ->where('state', 'planned')
            ->where('edited', false)
            ->whereRaw("cast(trims as text) != '[]'")
            ->update(['stale' => true]);
        // Work that waits is queued anew by augendo:update, from what the records say.
        DB::table('jobs')->where('payload', 'like', '%App%Jobs%')->delete();
    }

    public function down(): void
    {
        $this->rename(array_flip(self::NAMES));
    }

    /** @param  array<string, string>  $names  new name by old name */
    private function rename(array $names): void
    {
        foreach ($names as $from => $to) {
            DB::table('activity_log')->where('subject_type', $from)->update(['subject_type' => $to]);
            DB::table('activity_log')->where('causer_type', $from)->update(['causer_type' => $to]);
        }
    }
};
