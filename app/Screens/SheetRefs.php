<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\SheetRefView;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Session sheets by their state, with planned and done repetitions counted in the database. */
final class SheetRefs
{
    /**
     * @param  list<string>  $athleteIds
     * @return array<string, list<SheetRefView>> by athlete id, in order of day and hour
     */
    public static function for(array $athleteIds, string $from, string $to): array
    {
        $refs = [];
        $rows = self::query()->whereIn('sheets.athlete_id', $athleteIds)->whereBetween('sheets.held_on', [$from, $to])->get();
        foreach ($rows as $row) {
            $refs[$row->athlete_id][] = Parts::sheetRef($row);
        }

        return $refs;
    }

    public static function one(string $sheetId): SheetRefView
    {
        return Parts::sheetRef(self::query()->where('sheets.id', $sheetId)->sole());
    }

    private static function query(): Builder
    {
        return DB::table('sheets')->join('training_sessions', 'training_sessions.id', '=', 'sheets.training_session_id')
            ->orderBy('sheets.held_on')->orderBy('training_sessions.starts_at')
            ->select([
                'sheets.id', 'sheets.athlete_id', 'sheets.held_on', 'sheets.state', 'sheets.trims', 'sheets.stale',
                'training_sessions.title', 'training_sessions.starts_at',
            ])
            ->selectSub(DB::table('sheet_blocks')->whereColumn('sheet_id', 'sheets.id')->selectRaw('sum(reps)'), 'planned')
            ->selectSub(DB::table('sheet_blocks')->whereColumn('sheet_id', 'sheets.id')->selectRaw('sum(asked_sets * asked_reps)'), 'asked')
            ->selectSub(DB::table('work_sets')->whereColumn('session', 'sheets.id')->selectRaw('sum(reps)'), 'done');
    }
}
