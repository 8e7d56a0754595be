<?php

declare(strict_types=1);

namespace App\Devices;

use App\Athletes\Athlete;
use App\Courtside\DailyTotals;
use App\Courtside\EnteredWork;
use App\Sessions\WorkLog;
use Augendo\Core\Day;
use Augendo\Core\Devices\SeenAndTapped;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\WorkSet;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ramsey\Uuid\Uuid;

/**
 * What a counter saw of its wearer on a day outside every session, beside the work that was told of that day: the larger number is the
 * load, as hard as the hardest of their work could be, until somebody tells more of it or says it was nothing.
 */
final class OutsideLoad
{
    private const LOOKED_BACK_DAYS = 60;

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
        $extra = $this->counted($athlete, $day)->beyond();
        if ((int) ($row->reps ?? 0) === $extra) {
            return false;
        }
        if ($row !== null) {
            DB::table('work_sets')->where('id', $row->id)->delete();
            DailyTotals::refresh($athlete->id, $day->iso());
        }
        if ($extra > 0) {
            $skill = $this->hardest($athlete, $day);
            $set = WorkSet::ordinarily($day, "device {$id}", $skill, $extra, null);
            $this->work->add($athlete, $id, $set, CounterLoad::SOURCE, $skill->ordinaryImplement()->value);
        }

        return true;
    }

    /** What the counters saw outside every session of the day, beside the work of the arm that was told of it. */
    public function counted(Athlete $athlete, Day $day): SeenAndTapped
    {
        $zone = $athlete->loadMissing('workspace')->workspace->timezone;
        $midnight = fn (Day $of): float => (float) Carbon::parse($of->iso(), $zone)->timestamp;
        [$from, $until] = [$midnight($day), $midnight($day->plus(1))];
        $readings = DB::table('readings')
            ->join('devices', 'devices.id', '=', 'readings.device_id')
            ->whereIn('devices.kind', DeviceKind::counting())
            ->where('readings.athlete_id', $athlete->id)
            ->where('at_s', '>=', $from)
            ->where('at_s', '<', $until)
            ->where(fn ($word) => $word->whereNull('word')->orWhere('word', '!=', 'aside'))
            ->get(['device_id', 'squad_id', 'at_s']);
        if ($readings->isEmpty()) {
            return SeenAndTapped::of([], 0);
        }
        $spans = SessionReadings::spansOf($athlete, $from, $until);
        $seen = $readings
            ->reject(fn (object $each): bool => SessionReadings::isWithin($spans, (int) $each->squad_id, (float) $each->at_s))
            ->countBy('device_id');
        $told = DB::table('work_sets')
            ->where('athlete_id', $athlete->id)
            ->where('day', $day->iso())
            ->whereIn('source', WorkLog::SOURCES)
            ->whereIn('skill', array_keys(array_filter($this->library->skills(), fn (Skill $skill): bool => $skill->arm > 0.0)))
            ->where('implement', '!=', 'shadow')
            ->sum('reps');

        return SeenAndTapped::of($seen->values()->all(), (int) $told);
    }

    /** Nobody knows what it was: of what they do of late, what asks most of the arm. */
    private function hardest(Athlete $athlete, Day $day): Skill
    {
        $done = DB::table('sheet_blocks')
            ->join('sheets', 'sheets.id', '=', 'sheet_blocks.sheet_id')
            ->where('sheets.athlete_id', $athlete->id)
            ->whereBetween('sheets.held_on', [$day->plus(-self::LOOKED_BACK_DAYS)->iso(), $day->plus(self::LOOKED_BACK_DAYS)->iso()])
            ->distinct()
            ->pluck('skill')
            ->all();
        $all = $this->library->skills();
        $skills = array_intersect_key($all, array_flip($done)) ?: $all;
        usort($skills, fn (Skill $a, Skill $b): int => [$b->arm, $b->id] <=> [$a->arm, $a->id]);

        return $skills[0];
    }
}
