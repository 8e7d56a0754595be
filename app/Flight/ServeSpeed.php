<?php

declare(strict_types=1);

namespace App\Flight;

use App\Athletes\AthleteDay;
use Augendo\Core\Flight\UsualSpeed;
use Augendo\Core\Load\Side;
use Illuminate\Support\Facades\DB;

/** The serves of an athlete that were measured of late. */
final class ServeSpeed
{
    /** @return UsualSpeed|null null: nobody has measured one */
    public static function of(AthleteDay $day, string $skill): ?UsualSpeed
    {
        $measured = DB::table('work_sets')
            ->where('athlete_id', $day->athlete->id)
            ->where('skill', $skill)
            ->where('side', Side::Dominant->value)
            ->whereNotNull('speed_ms')
            ->where('day', '>', $day->on->plus(-UsualSpeed::LAST_DAYS)->iso())
            ->where('day', '<=', $day->on->iso())
            ->orderByDesc('day')
            ->orderByDesc('id')
            ->limit(UsualSpeed::LATEST)
            ->pluck('speed_ms')
            ->map(fn (mixed $ms): float => (float) $ms)
            ->all();

        return UsualSpeed::of($measured, $day->load->profile->referenceSpeedMs[$skill] ?? null);
    }
}
