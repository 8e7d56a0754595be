<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\Sent;
use Augendo\Core\Day;
use Augendo\Core\Load\Marks;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Heights, longest throws and reference speeds: entered, doubted where one lies far off the others, said to be right, or withdrawn. */
final class Measurements
{
    /** @param  array{id: string, measured_on: string, height_cm: float}  $given validated; sent before, it changes nothing */
    public function height(Athlete $athlete, array $given, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $by): void {
            if (Sent::before('heights', $given['id'], ['athlete_id' => $athlete->id])) {
                return;
            }
            $others = self::standing('heights', $athlete)->map(
                fn (object $row): array => [Day::of(substr($row->measured_on, 0, 10)), (float) $row->height_cm],
            )->all();
            DB::table('heights')->insert([
                ...$given, 'athlete_id' => $athlete->id, 'recorded_by' => $by->id, 'recorded_at' => Carbon::now(),
                'doubted' => Marks::isHeightFarOff(Day::of($given['measured_on']), (float) $given['height_cm'], $others),
            ]);
            $this->changed($athlete, $by);
        });
    }

    /** @param  array{skill: string, longest_throw_m: float|null, reference_speed_ms: float|null, measured_on: string}  $given validated */
    public function mark(Athlete $athlete, array $given, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $by): void {
            $others = self::standing('skill_marks', $athlete)->where('skill', $given['skill'])->where('doubted', false);
            $isFarOff = fn (string $what): bool => $given[$what] !== null
                && Marks::isFarOff(
                    (float) $given[$what],
                    $others->whereNotNull($what)->map(fn (object $row): float => (float) $row->{$what})->values()->all(),
                );
            DB::table('skill_marks')->insert([
                ...$given, 'athlete_id' => $athlete->id, 'recorded_by' => $by->id, 'recorded_at' => Carbon::now(),
                'doubted' => $isFarOff('longest_throw_m') || $isFarOff('reference_speed_ms'),
            ]);
            $this->changed($athlete, $by);
        });
    }

    /** @param  'heights'|'skill_marks'  $table */
    public function confirm(Athlete $athlete, string $table, string $id, User $by): void
    {
        $this->change(
            athlete: $athlete,
            table: $table,
            id: $id,
            by: $by,
            to: ['doubted' => false],
            what: 'measurement said to be right',
        );
    }

    /** @param  'heights'|'skill_marks'  $table */
    public function withdraw(Athlete $athlete, string $table, string $id, User $by): void
    {
        $this->change(
            athlete: $athlete,
            table: $table,
            id: $id,
            by: $by,
            to: ['withdrawn_at' => Carbon::now(), 'withdrawn_by' => $by->id],
            what: 'measurement withdrawn',
        );
    }

    /**
     * @param  'heights'|'skill_marks'  $table
     * @param  array<string, mixed>  $to
     */
    private function change(Athlete $athlete, string $table, string $id, User $by, array $to, string $what): void
    {
        Alone::with($athlete->id, function () use ($athlete, $table, $id, $by, $to, $what): void {
            $row = DB::table($table)->where('athlete_id', $athlete->id)->where('id', $id)->whereNull('withdrawn_at')->first()
                ?? throw new Problem(ProblemType::NotFound, 'This measurement is not there any more.');
            DB::table($table)->where('id', $row->id)->update($to);
            Audit::of(
                $by,
                $athlete,
                $what,
                array_filter([
                    'measured_on' => substr($row->measured_on, 0, 10),
                    'height_cm' => $row->height_cm ?? null,
                    'longest_throw_m' => $row->longest_throw_m ?? null,
                    'reference_speed_ms' => $row->reference_speed_ms ?? null,
                ]),
            );
            $this->changed($athlete, $by);
        });
    }

    /**
     * @param  'heights'|'skill_marks'  $table
     * @return \Illuminate\Support\Collection<int, \stdClass>
     */
    private static function standing(string $table, Athlete $athlete): \Illuminate\Support\Collection
    {
        return DB::table($table)->where('athlete_id', $athlete->id)->whereNull('withdrawn_at')->orderBy('measured_on')->get();
    }

    private function changed(Athlete $athlete, User $by): void
    {
        AthletesChanged::one($athlete, $by->workspace->today());
    }
}
