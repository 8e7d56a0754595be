<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Squad;
use App\Seasons\Answers\UncountedMatchView;
use Augendo\Core\Day;
use Illuminate\Support\Facades\DB;

/** Matches of a squad that are over and not counted: whoever was there should say what they took. */
final class UncountedMatches
{
    private const ASKED_DAYS = 14;

    /**
     * @param  list<string>  $athleteIds  of the squad
     * @return list<UncountedMatchView> the latest first
     */
    public static function of(Squad $squad, array $athleteIds, Day $today): array
    {
        $matches = Fixture::query()
            ->where('squad_id', $squad->id)
            ->whereNull('athlete_id')
            ->where('kind', Fixture::MATCH)
            ->where('held_on', '>=', $today->plus(-self::ASKED_DAYS)->iso())
            ->where('held_on', '<', $today->iso())
            ->orderByDesc('held_on')
            ->get();
        if ($matches->isEmpty()) {
            return [];
        }
        $matches->where('lined_up', true)->load('lineUps');
        $counted = DB::table('work_sets')
            ->whereIn('athlete_id', $athleteIds)
            ->where('source', 'match')
            ->whereIn('day', $matches->map(fn (Fixture $match): string => $match->day()->iso())->all())
            ->get(['athlete_id', 'day'])
            ->mapWithKeys(fn (object $row): array => [substr($row->day, 0, 10)." {$row->athlete_id}" => true])
            ->all();
        $views = [];
        foreach ($matches as $match) {
            $players = array_intersect($match->players() ?? $athleteIds, $athleteIds);
            $missing = array_filter($players, fn (string $id): bool => ! isset($counted["{$match->day()->iso()} {$id}"]));
            if ($missing !== []) {
                $views[] = new UncountedMatchView($match->id, $match->title, $match->day()->iso(), count($missing));
            }
        }

        return $views;
    }
}
