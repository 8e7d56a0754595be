<?php

declare(strict_types=1);

namespace App\Athletes;

use Augendo\Core\Day;
use Augendo\Core\Library\TestProtocol;
use Augendo\Core\Load\Marks;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What was measured on test days, or at any other time the same way. */
final class TestsTaken
{
    /** @return Collection<int, \stdClass> id, measured_on and value of each that is not withdrawn, the latest first */
    public static function of(string $athleteId, string $skill, TestProtocol $protocol, Day $on): Collection
    {
        $rows = $protocol->measures === 'jump_cm'
            ? self::body($athleteId, 'jump_cm', $on)->select(['id', 'measured_on', 'value'])
            : DB::table('skill_marks')
                ->where('athlete_id', $athleteId)
                ->where('skill', $skill)
                ->whereNotNull($protocol->measures)
                ->whereNull('withdrawn_at')
                ->where('measured_on', '<=', $on->iso())
                ->select(['id', 'measured_on', "{$protocol->measures} as value"]);

        return $rows->orderByDesc('measured_on')->orderByDesc('id')->get();
    }

    /** @return Day|null of the latest that still says something of today; null: none does */
    public static function lastThatHolds(string $athleteId, string $skill, TestProtocol $protocol, Day $on): ?Day
    {
        $last = self::of($athleteId, $skill, $protocol, $on)->first();
        $day = $last === null ? null : Day::of(substr($last->measured_on, 0, 10));

        return $day !== null && Marks::holds($day, $on, (new Heights([$athleteId], $on))->grewSince($athleteId)) ? $day : null;
    }

    public static function body(string $athleteId, string $what, Day $on): Builder
    {
        return DB::table('body_measures')
            ->where('athlete_id', $athleteId)
            ->where('what', $what)
            ->whereNull('withdrawn_at')
            ->where('measured_on', '<=', $on->iso());
    }
}
