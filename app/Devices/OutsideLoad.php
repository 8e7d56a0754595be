<?php

declare(strict_types=1);

namespace App\Devices;

use App\Athletes\Athlete;
use App\Courtside\DailyTotals;
use App\Courtside\EnteredWork;
use App\Sessions\WorkLog;
use Augendo\Core\Day;
use Augendo\Core\Devices\OutsideWork;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Skill;
use Illuminate\Support\Facades\DB;
use Ramsey\Uuid\Uuid;

/** What a counter saw of its wearer on a day outside every session, as load until somebody speaks of it: core Devices\OutsideWork. */
final class OutsideLoad
{
    public function __construct(private readonly Library $library, private readonly EnteredWork $work) {}

    /**
     * Alone with the athlete.
     *
     * @return bool whether their load changed
     */
    public function of(Athlete $athlete, Day $day): bool
    {
        // One set a day, named by both.
        $id = Uuid::uuid5($athlete->id, "outside {$day->iso()}")->toString();
        $row = DB::table('work_sets')->where('client_id', $id)->where('athlete_id', $athlete->id)->first();
        $work = $this->seen($athlete, $day);
        if ((int) ($row->reps ?? 0) === $work->counted->beyond()) {
            return false;
        }
        if ($row !== null) {
            DB::table('work_sets')->where('id', $row->id)->delete();
            DailyTotals::refresh($athlete->id, $day->iso());
        }
        $set = $work->load($day, "device {$id}", $this->skillsAround($athlete, $day));
        if ($set !== null) {
            $this->work->add($athlete, $id, $set, CounterLoad::SOURCE, $set->skill->ordinaryImplement()->value);
        }

        return true;
    }

    /** What the counters saw outside every session of the day, beside the work that was told of it. */
    public function seen(Athlete $athlete, Day $day): OutsideWork
    {
        $workspace = $athlete->loadMissing('workspace')->workspace;
        [$from, $until] = [$workspace->midnightS($day), $workspace->midnightS($day->plus(1))];
        $readings = DB::table('readings')
            ->join('devices', 'devices.id', '=', 'readings.device_id')
            ->whereIn('devices.kind', DeviceKind::counting())
            ->where('readings.athlete_id', $athlete->id)
            ->where('at_s', '>=', $from)
            ->where('at_s', '<', $until)
            ->where(fn ($word) => $word->whereNull('word')->orWhere('word', '!=', 'aside'))
            ->get(['device_id', 'squad_id', 'at_s']);
        if ($readings->isEmpty()) {
            return OutsideWork::of([], []);
        }
        $spans = SessionReadings::spansOf($athlete, $from, $until);
        $seen = $readings
            ->reject(fn (object $each): bool => SessionReadings::isWithin($spans, (int) $each->squad_id, (float) $each->at_s))
            ->countBy('device_id');
        $told = DB::table('work_sets')
            ->where('athlete_id', $athlete->id)
            ->where('day', $day->iso())
            ->whereIn('source', WorkLog::SOURCES)
            ->where('implement', '!=', 'shadow')
            ->get(['skill', 'reps'])
            ->map(fn (object $set): array => [$this->library->skills()[$set->skill], (int) $set->reps]);

        return OutsideWork::of($seen->values()->all(), $told->values()->all());
    }

    /** @return non-empty-list<Skill> what an athlete does of late, and is planned to; where nobody knows, all there are */
    private function skillsAround(Athlete $athlete, Day $day): array
    {
        $done = DB::table('sheet_blocks')
            ->join('sheets', 'sheets.id', '=', 'sheet_blocks.sheet_id')
            ->where('sheets.athlete_id', $athlete->id)
            ->whereBetween('sheets.held_on', [
                $day->plus(-OutsideWork::AROUND_DAYS)->iso(), $day->plus(OutsideWork::AROUND_DAYS)->iso(),
            ])
            ->distinct()
            ->pluck('skill')
            ->all();
        $all = $this->library->skills();

        return array_values(array_intersect_key($all, array_flip($done)) ?: $all);
    }
}
