<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Sessions\Answers\SheetRefView;
use Augendo\Core\Day;
use Augendo\Core\Planning\BlockPlan;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Session sheets by their state, with planned and done repetitions counted in the database. */
final class SheetRefs
{
    /**
     * @param  list<string>  $athleteIds
     * @return array<string, list<SheetRefView>> by athlete id, in order of day and hour
     */
    public static function for(array $athleteIds, Day $from, Day $to, Day $today): array
    {
        $refs = [];
        $rows = self::query()->whereIn('sheets.athlete_id', $athleteIds)->whereBetween('sheets.held_on', [$from->iso(), $to->iso()])->get();
        $waiting = Sheet::waiting($athleteIds, $today)->with('blocks', 'athlete', 'trainingSession.squad.workspace')->get()->keyBy('id');
        foreach ($rows as $row) {
            $refs[$row->athlete_id][] = self::answer($row, $waiting[$row->id] ?? null);
        }

        return $refs;
    }

    public static function one(Sheet $sheet, Day $today): SheetRefView
    {
        return self::answer(self::query()->where('sheets.id', $sheet->id)->sole(), $sheet->waits($today) ? $sheet : null);
    }

    private static function query(): Builder
    {
        return DB::table('sheets')
            ->where('sheets.state', '!=', Sheet::CALLED_OFF)
            ->join('training_sessions', 'training_sessions.id', '=', 'sheets.training_session_id')
            ->orderBy('sheets.held_on')->orderBy('training_sessions.starts_at')
            ->select([
                'sheets.id', 'sheets.athlete_id', 'sheets.held_on', 'sheets.state', 'sheets.trims',
                'training_sessions.title', 'training_sessions.starts_at',
            ])
            ->selectSub(DB::table('sheet_blocks')->whereColumn('sheet_id', 'sheets.id')->selectRaw('sum(reps)'), 'planned')
            ->selectSub(DB::table('sheet_blocks')->whereColumn('sheet_id', 'sheets.id')->selectRaw('sum(asked_sets * asked_reps)'), 'asked')
            ->selectSub(DB::table('work_sets')->whereRaw('session = cast(sheets.id as text)')->selectRaw('sum(reps)'), 'done');
    }

    /**
     * @param  object{
     *     id: string, title: string, starts_at: string, held_on: string, state: string, trims: string,
     *     planned: int|string|null, done: int|string|null, asked: int|string|null,
     * }  $row
     * @param  Sheet|null  $waiting  the sheet itself when it waits to be fitted: then it shows what holds now
     */
    private static function answer(object $row, ?Sheet $waiting): SheetRefView
    {
        $planned = $waiting === null
            ? (int) $row->planned
            : array_sum(array_map(fn (BlockPlan $plan): int => $plan->reps, OpenSheet::of($waiting)->plans()));

        return new SheetRefView(
            id: $row->id,
            title: $row->title,
            starts_at: $row->starts_at,
            held_on: substr($row->held_on, 0, 10),
            state: $row->state,
            planned_reps: $planned,
            done_reps: (int) $row->done,
            trims: count(json_decode($row->trims, true)),
            nothing_left: $planned === 0 && (int) $row->asked > 0,
        );
    }
}
