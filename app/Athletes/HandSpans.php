<?php

declare(strict_types=1);

namespace App\Athletes;

use Augendo\Core\Day;
use Illuminate\Support\Facades\DB;

/** How wide the throwing hands of many athletes span, as measured last. */
final class HandSpans
{
    /** As it is kept among the measures of the body. */
    public const WHAT = 'hand_span_cm';

    /**
     * @param  list<string>  $athleteIds
     * @return array<string, float> centimetres by athlete, of those measured by that day
     */
    public static function of(array $athleteIds, Day $on): array
    {
        return DB::table('body_measures')
            ->whereIn('athlete_id', $athleteIds)
            ->where('what', self::WHAT)
            ->where('measured_on', '<=', $on->iso())
            ->whereNull('withdrawn_at')
            ->orderBy('measured_on')
            ->orderBy('recorded_at')
            ->pluck('value', 'athlete_id')
            ->map(fn (mixed $cm): float => (float) $cm)
            ->all();
    }
}
