<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Courtside\DailyTotals;
use App\Courtside\RepLog;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Limits\AthleteLoads;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\Sent;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Felt;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\WorkSet;
use Illuminate\Support\Facades\DB;

/** Work that nobody planned is load too: at home, in a match, at another club. */
final class WorkLog
{
    public function __construct(private readonly Library $library, private readonly AthleteLoads $loads) {}

    /** @param  array<string, mixed>  $given  validated; sent before, it changes nothing */
    public function add(Athlete $athlete, array $given, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $by): void {
            if (Sent::before('work_sets', $given['id'], ['athlete_id' => $athlete->id], 'client_id')) {
                return;
            }
            $skill = $this->library->skills()[$given['skill']];
            $day = Day::of($given['day']);
            $set = new WorkSet(
                $day, "{$given['source']} {$given['id']}", $skill, $given['reps'],
                $given['felt'] === null ? null : Felt::from($given['felt'])->effort(),
                $skill->ordinaryImplement(), $given['distance_m'], side: Side::from($given['side']),
            );
            $price = new SetCost($this->loads->profiles([$athlete], $day)[$athlete->id]);
            DB::table('work_sets')->insert([
                'client_id' => $given['id'],
                ...RepLog::row($athlete->id, $set, $given['source'], $skill->ordinaryImplement()->value, null),
                ...DailyTotals::toColumns($price->of($set)),
            ]);
            DailyTotals::refresh($athlete->id, $day->iso());
            Audit::of($by, $athlete, 'work logged', ['day' => $day->iso(), 'source' => $given['source'], 'reps' => $given['reps']]);
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }

    /** Takes an entry back; what it said stays in the log of who did what. */
    public function takeBack(Athlete $athlete, string $id, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $id, $by): void {
            $row = DB::table('work_sets')->where('athlete_id', $athlete->id)->where('client_id', $id)->first()
                ?? throw new Problem(ProblemType::NotFound, 'This entry is not there any more.');
            DB::table('work_sets')->where('id', $row->id)->delete();
            DailyTotals::refresh($athlete->id, substr($row->day, 0, 10));
            Audit::of(
                $by,
                $athlete,
                'logged work taken back',
                ['day' => substr($row->day, 0, 10), 'skill' => $row->skill, 'reps' => $row->reps, 'effort' => $row->effort],
            );
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }
}
