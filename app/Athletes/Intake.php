<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Courtside\DailyTotals;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Limits\AthleteLoads;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\Felt;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\UsualWeek;
use Augendo\Core\Load\WorkSet;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** What is asked once: sports, past injuries, consents, whom to call; and height every few months. */
final class Intake
{
    public function __construct(private readonly Library $library, private readonly AthleteLoads $loads) {}

    /**
     * @param  array<string, mixed>  $given  validated
     *
     * @throws Problem when somebody saved since it was read
     */
    public function save(Athlete $athlete, array $given, int $version, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $version, $by): void {
            $kept = DB::table('intakes')->where('athlete_id', $athlete->id)->first();
            if ($version !== (int) ($kept->version ?? 0)) {
                throw new Problem(
                    ProblemType::ChangedMeanwhile,
                    'Somebody saved this intake since you opened it. What you wrote is kept in the form: load the page '
                        .'in another tab, compare, and save again.',
                    extra: ['version' => (int) ($kept->version ?? 0)],
                );
            }
            $before = self::week($kept->usual_week ?? null);
            // Not said anew: it stays as it stands.
            $work = $given['usual_work'] ?? json_decode($kept->usual_work ?? 'null', true);
            $week = $given['usual_work'] === null ? $before : $this->inUnits($athlete, $work, $by);
            $untilSure = $week == $before
                ? self::week($kept->usual_week_until_sure ?? null)
                : self::untilSure($week, self::week($kept->usual_week_until_sure ?? null) ?? $before);
            DB::table('intakes')->updateOrInsert(['athlete_id' => $athlete->id], [
                ...$given,
                'usual_work' => $work === null ? null : json_encode($work),
                'usual_week' => $week === null ? null : json_encode($week),
                'usual_week_until_sure' => $untilSure === null ? null : json_encode($untilSure),
                'version' => $version + 1,
                'created_at' => $kept->created_at ?? Carbon::now(),
                'updated_at' => Carbon::now(),
            ]);
            $this->declare($athlete, $untilSure ?? $week, $by->workspace->today(), $week != $before);
            Audit::of($by, $athlete, 'intake saved');
            $this->changed($athlete, $by);
        });
    }

    /** Somebody says that the declared week is right, however far off what else is known: from now on it counts. */
    public function confirmUsualWeek(Athlete $athlete, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $by): void {
            $intake = DB::table('intakes')->where('athlete_id', $athlete->id)->whereNotNull('usual_week_until_sure')->first()
                ?? throw new Problem(ProblemType::NothingToConfirm, 'No usual week waits for somebody to say that it is right.');
            DB::table('intakes')->where('athlete_id', $athlete->id)->update(['usual_week_until_sure' => null]);
            $week = self::week($intake->usual_week);
            $this->declare($athlete, $week, $by->workspace->today(), false);
            Audit::of($by, $athlete, 'usual week said to be right', $week ?? []);
            $this->changed($athlete, $by);
        });
    }

    /**
     * The record has grown, or has another beginning: what was declared stands before it and counts no more than it shows. Coming twice it
     * changes nothing. Call it alone with the athlete.
     */
    public function declareAgain(Athlete $athlete, Day $today): void
    {
        $intake = DB::table('intakes')->where('athlete_id', $athlete->id)->whereNotNull('usual_week')->first();
        if ($intake !== null) {
            $this->declare($athlete, self::week($intake->usual_week_until_sure) ?? self::week($intake->usual_week), $today, false);
        }
    }

    /**
     * @param  list<array{skill: string, reps: int, felt: string|null}>  $work  of a usual week
     * @return array{arm: float, landings: float}|null units; null when there is none
     */
    private function inUnits(Athlete $athlete, array $work, User $by): ?array
    {
        $today = $by->workspace->today();
        $skills = $this->library->skills();

        return $work === [] ? null : UsualWeek::ofWork(array_map(fn (array $of): WorkSet => WorkSet::ordinarily(
            $today,
            'usual week',
            $skills[$of['skill']],
            $of['reps'],
            $of['felt'] === null ? null : Felt::from($of['felt'])->effort(),
        ), $work), new SetCost($this->loads->profiles([$athlete], $today)[$athlete->id]));
    }

    /**
     * The smaller of each measure that lies far off what was declared before.
     *
     * @param  array<string, float>|null  $week  units a week by measure
     * @param  array<string, float>|null  $before  likewise
     * @return array<string, float>|null units a week by measure; null when nothing is far off
     */
    private static function untilSure(?array $week, ?array $before): ?array
    {
        $smaller = [];
        foreach ($week ?? [] as $measure => $declared) {
            $smaller[$measure] = UsualWeek::untilSure($declared, isset($before[$measure]) ? [$before[$measure]] : []);
        }
        $smaller = array_filter($smaller, is_float(...));

        return $smaller === [] ? null : [...$week, ...$smaller];
    }

    /** @return array<string, float>|null units a week by measure */
    public static function week(?string $json): ?array
    {
        return $json === null ? null : array_map(floatval(...), json_decode($json, true));
    }

    private function changed(Athlete $athlete, User $by): void
    {
        AthletesChanged::one($athlete, $by->workspace->today());
    }

    /**
     * A declared usual week enters as four weeks of history before the record began, at 0.8 of it, at most half of what the starter
     * allows a week and no more than the record shows once there are two weeks of it; spread over the week, shown as declared.
     *
     * @param  array<string, float>|null  $week  units a week by measure: arm, landings
     */
    private function declare(Athlete $athlete, ?array $week, Day $today, bool $isSaidAnew): void
    {
        $declared = fn () => DB::table('work_sets')->where('athlete_id', $athlete->id)->where('source', 'declared');
        $stands = $declared()->orderBy('day')->orderBy('skill')->get(['day', 'skill', 'arm', 'landings'])
            ->map(fn (object $row): array => [substr($row->day, 0, 10), $row->skill, (float) $row->arm, (float) $row->landings])->all();
        $wanted = $week === null ? [] : $this->wanted($athlete, $week, $today, $isSaidAnew || $stands === [] ? null : end($stands)[0]);
        // A database gives a number back with fewer digits than it was given.
        $asKept = fn (array $of): string => sprintf('%s %s %.6f %.6f', ...$of);
        if (array_map($asKept, $wanted) === array_map($asKept, $stands)) {
            return;
        }
        $declared()->delete();
        foreach ($wanted as [$day, $skill, $arm, $landings]) {
            DB::table('work_sets')->insert([
                'athlete_id' => $athlete->id, 'day' => $day, 'session' => "declared {$day}", 'source' => 'declared', 'skill' => $skill,
                'reps' => 0, 'object' => 'body', 'implement' => 'standard', 'side' => 'dominant', 'arm' => $arm, 'landings' => $landings,
            ]);
        }
        foreach (array_unique(array_column([...$stands, ...$wanted], 0)) as $day) {
            DailyTotals::refresh($athlete->id, $day);
        }
    }

    /**
     * @param  array<string, float>  $week  units a week by measure
     * @param  string|null  $lastDay  of the weeks that stand; null: said just now
     * @return list<array{string, string, float, float}> day, skill, arm and landings, in order
     */
    private function wanted(Athlete $athlete, array $week, Day $today, ?string $lastDay): array
    {
        $first = DB::table('work_sets')->where('athlete_id', $athlete->id)->where('source', '!=', 'declared')->min('day');
        $last = UsualWeek::lastDay(
            $first === null ? null : Day::of(substr($first, 0, 10)),
            $lastDay === null ? $today->plus(-1) : Day::of($lastDay),
        );
        $daily = $this->declaredDays($athlete, $week, $today);
        $rows = [];
        for ($back = UsualWeek::DECLARED_DAYS - 1; $back >= 0; $back--) {
            $day = $last->plus(-$back)->iso();
            array_push($rows, [$day, 'jump', 0.0, $daily['landings']], [$day, 'overhand-throw', $daily['arm'], 0.0]);
        }

        return $rows;
    }

    /**
     * @param  array<string, float>  $week  units a week by measure
     * @return array<string, float> units a day by measure
     */
    private function declaredDays(Athlete $athlete, array $week, Day $today): array
    {
        $starter = $this->library->ruleSet('starter')->limits;
        $done = DB::table('work_sets')
            ->where('athlete_id', $athlete->id)
            ->where('source', '!=', 'declared')
            ->groupBy('day')
            ->orderBy('day')
            ->selectRaw('day, sum(arm) as arm, sum(landings) as landings')
            ->get()
            ->keyBy(fn (object $row): int => Day::of(substr($row->day, 0, 10))->ordinal);
        $daily = [];
        foreach ($week as $measure => $units) {
            $series = new DailySeries($done->map(fn (object $row): float => (float) $row->{$measure})->all(), $done->keys()->first());
            $daily[$measure] = UsualWeek::declaredDay(
                $units,
                UsualWeek::mostDeclared($starter, $athlete->ageOn($today), Measure::from($measure)),
                UsualWeek::shown($series, $today->ordinal),
            );
        }

        return $daily;
    }
}
