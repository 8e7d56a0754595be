<?php

declare(strict_types=1);

namespace App\Records;

use App\Http\Problem;
use App\Models\Athlete;
use App\Models\User;
use Augendo\Core\Day;
use Augendo\Core\Load\UsualWeek;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** What is asked once: sports, past injuries, consents, whom to call; and height every few months. */
final class IntakeDesk
{
    /**
     * @param  array<string, mixed>  $given  validated
     *
     * @throws Problem when somebody saved since it was read
     */
    public function save(Athlete $athlete, array $given, int $version, User $by): void
    {
        DB::transaction(function () use ($athlete, $given, $version, $by): void {
            $kept = DB::table('intakes')->where('athlete_id', $athlete->id)->first();
            if ($version !== (int) ($kept->version ?? 0)) {
                throw new Problem(
                    409,
                    'Changed meanwhile',
                    'Somebody saved this intake since you opened it. What you wrote is kept in the form: load the page in another tab, compare, and save again.',
                    extra: ['version' => (int) ($kept->version ?? 0)],
                );
            }
            $week = $given['usual_week'];
            DB::table('intakes')->updateOrInsert(['athlete_id' => $athlete->id], [
                ...$given, 'usual_week' => $week === null ? null : json_encode($week), 'version' => $version + 1,
                'created_at' => $kept->created_at ?? Carbon::now(), 'updated_at' => Carbon::now(),
            ]);
            $this->declare($athlete, $week, $by);
            Audit::of($by, $athlete, 'intake saved');
            Athlete::raiseRevision($athlete->id);
        });
    }

    /**
     * A declared usual week enters as four weeks of history before the record began, at 0.8 of it, spread over the week, shown as declared.
     *
     * @param  array{arm: float, landings: float}|null  $week  units a week
     */
    private function declare(Athlete $athlete, ?array $week, User $by): void
    {
        $days = DB::table('work_sets')->where('athlete_id', $athlete->id)->where('source', 'declared')->distinct()->pluck('day')->all();
        DB::table('work_sets')->where('athlete_id', $athlete->id)->where('source', 'declared')->delete();
        $first = DB::table('work_sets')->where('athlete_id', $athlete->id)->min('day');
        if ($week !== null) {
            $end = $first === null ? $by->workspace->today() : Day::of(substr($first, 0, 10));
            for ($back = 1; $back <= UsualWeek::DECLARED_DAYS; $back++) {
                $day = $end->plus(-$back)->iso();
                $days[] = $day;
                foreach (['arm' => 'overhand-throw', 'landings' => 'jump'] as $measure => $skill) {
                    DB::table('work_sets')->insert([
                        'athlete_id' => $athlete->id, 'day' => $day, 'session' => "declared {$day}",
                        'source' => 'declared', 'skill' => $skill, 'reps' => 0, 'object' => 'body',
                        'implement' => 'standard', 'side' => 'dominant',
                        $measure => UsualWeek::declaredDay((float) $week[$measure]),
                    ]);
                }
            }
        }
        foreach (array_unique(array_map(fn (string $day): string => substr($day, 0, 10), $days)) as $day) {
            DailyTotals::refresh($athlete->id, $day);
        }
    }
}
