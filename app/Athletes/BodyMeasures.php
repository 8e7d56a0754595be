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
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Jumps, and what either side of the body does: written down, and taken back. */
final class BodyMeasures
{
    /**
     * @param  array{id: string, what: string, side: string|null, value: float, measured_on: string}  $given  validated; sent before, it
     *         changes nothing
     */
    public function add(Athlete $athlete, array $given, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $by): void {
            if (Sent::before('body_measures', $given['id'], ['athlete_id' => $athlete->id])) {
                return;
            }
            DB::table('body_measures')->insert([
                ...$given, 'athlete_id' => $athlete->id, 'recorded_by' => $by->id, 'recorded_at' => Carbon::now(),
            ]);
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }

    public function withdraw(Athlete $athlete, string $id, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $id, $by): void {
            $row = DB::table('body_measures')->where('athlete_id', $athlete->id)->where('id', $id)->whereNull('withdrawn_at')->first()
                ?? throw new Problem(ProblemType::NotFound, 'This measurement is not there any more.');
            DB::table('body_measures')->where('id', $row->id)->update(['withdrawn_at' => Carbon::now(), 'withdrawn_by' => $by->id]);
            Audit::of($by, $athlete, 'measurement withdrawn', [
                'measured_on' => substr($row->measured_on, 0, 10), 'what' => $row->what, 'side' => $row->side, 'value' => $row->value,
            ]);
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }
}
