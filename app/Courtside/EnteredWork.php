<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Limits\AthleteLoads;
use App\People\User;
use Augendo\Core\Day;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\CountedMatches;
use Illuminate\Support\Facades\DB;

/** Work on the record without taps: logged, told, scored. Each set is named by whoever entered it. Call it alone with the athlete. */
final class EnteredWork
{
    public function __construct(private readonly AthleteLoads $loads) {}

    /**
     * Real counts of a match or of training elsewhere take the place of what it was taken to be.
     *
     * @param  string|null  $blockId  of the sheet it was done on, where it was done on one
     * @param  bool  $estimated  nobody said what it took
     */
    public function add(
        Athlete $athlete, string $id, WorkSet $set, string $source, string $object, ?string $blockId = null, bool $estimated = false,
    ): void {
        if (! $estimated) {
            $this->dropEstimate($athlete, $set, $source);
        }
        $price = new SetCost($this->loads->profiles([$athlete], $set->day)[$athlete->id]);
        DB::table('work_sets')->insert([
            'client_id' => $id,
            'estimated' => $estimated,
            ...RepLog::row($athlete->id, $set, $source, $object, $blockId),
            ...DailyTotals::toColumns($price->of($set)),
        ]);
        DailyTotals::refresh($athlete->id, $set->day->iso());
    }

    /**
     * Who was not in a match after all did not do what it was taken to be.
     *
     * @param  list<string>  $athleteIds
     */
    public function dropEstimates(array $athleteIds, Day $day, string $session): void
    {
        foreach ($athleteIds as $id) {
            $gone = DB::table('work_sets')
                ->where('athlete_id', $id)
                ->where('session', $session)
                ->where('estimated', true)
                ->delete();
            if ($gone > 0) {
                DailyTotals::refresh($id, $day->iso());
            }
        }
    }

    private function dropEstimate(Athlete $athlete, WorkSet $set, string $source): void
    {
        DB::table('work_sets')
            ->where('athlete_id', $athlete->id)
            ->where('day', $set->day->iso())
            ->where('source', $source)
            ->where('estimated', true)
            ->when(CountedMatches::isNamed($set->session), fn ($query) => $query->where('session', $set->session))
            ->delete();
    }

    /**
     * Its load goes with it: that gives room, so it stands where the coach sees it.
     *
     * @param  list<string>  $sources  of which it may be
     * @return object{day: string, skill: string, reps: int, effort: float|null, estimated: bool, session: string}|null what it
     *         was; null when it is not there
     *
     * @throws Problem when it is what a match was taken to be: it goes with real counts, or with its line-up
     */
    public function takeBack(Athlete $athlete, string $id, array $sources, string $reason, User $by): ?object
    {
        $row = DB::table('work_sets')->where('athlete_id', $athlete->id)->whereIn('source', $sources)->where('client_id', $id)->first();
        if ($row === null) {
            return null;
        }
        if ($row->estimated && $row->source === 'match') {
            throw new Problem(
                ProblemType::ItStays,
                'Nobody has counted this match. Enter what it took, or say on its page that the athlete was not in it.',
            );
        }
        DB::table('work_sets')->where('id', $row->id)->delete();
        $day = substr($row->day, 0, 10);
        DailyTotals::refresh($athlete->id, $day);
        Corrections::ofEntry($athlete->id, ['source' => $row->source, 'day' => $day], (int) $row->reps, $reason, $by);

        return (object) [
            'day' => $day, 'skill' => $row->skill, 'reps' => (int) $row->reps, 'effort' => $row->effort,
            'estimated' => (bool) $row->estimated, 'session' => $row->session,
        ];
    }
}
