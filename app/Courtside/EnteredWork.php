<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Limits\AthleteLoads;
use App\People\User;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\WorkSet;
use Illuminate\Support\Facades\DB;

/** Work on the record without taps: logged, told, scored. Each set is named by whoever entered it. Call it alone with the athlete. */
final class EnteredWork
{
    public function __construct(private readonly AthleteLoads $loads) {}

    /** @param  string|null  $blockId  of the sheet it was done on, where it was done on one */
    public function add(Athlete $athlete, string $id, WorkSet $set, string $source, string $object, ?string $blockId = null): void
    {
        $price = new SetCost($this->loads->profiles([$athlete], $set->day)[$athlete->id]);
        DB::table('work_sets')->insert([
            'client_id' => $id,
            ...RepLog::row($athlete->id, $set, $source, $object, $blockId),
            ...DailyTotals::toColumns($price->of($set)),
        ]);
        DailyTotals::refresh($athlete->id, $set->day->iso());
    }

    /**
     * Its load goes with it: that gives room, so it stands where the coach sees it.
     *
     * @param  list<string>  $sources  of which it may be
     * @return object{day: string, skill: string, reps: int, effort: float|null}|null what it was; null when it is not there
     */
    public function takeBack(Athlete $athlete, string $id, array $sources, string $reason, User $by): ?object
    {
        $row = DB::table('work_sets')->where('athlete_id', $athlete->id)->whereIn('source', $sources)->where('client_id', $id)->first();
        if ($row === null) {
            return null;
        }
        DB::table('work_sets')->where('id', $row->id)->delete();
        $day = substr($row->day, 0, 10);
        DailyTotals::refresh($athlete->id, $day);
        Corrections::ofEntry($athlete->id, ['source' => $row->source, 'day' => $day], (int) $row->reps, $reason, $by);

        return (object) ['day' => $day, 'skill' => $row->skill, 'reps' => (int) $row->reps, 'effort' => $row->effort];
    }
}
