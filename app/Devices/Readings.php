<?php

declare(strict_types=1);

namespace App\Devices;

use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Sessions\TrainingSession;
use Augendo\Core\Devices\Loan;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What devices measured: kept as it came, each once, and what people say of it. */
final class Readings
{
    public function __construct(private readonly CounterLoad $load) {}

    /** @return int how many are new; one that was sent before changes nothing */
    public function take(Device $device, ReadingBatch $batch): int
    {
        $now = Carbon::now();
        $loans = DB::table('device_loans')->where('device_id', $device->id)->orderBy('from_s')->get();
        $rows = array_map(function (array $each) use ($device, $loans, $now): array {
            $loan = $loans->last(fn (object $loan): bool => (new Loan($loan->from_s, $loan->until_s))->holds($each['at_s']));

            return [
                'id' => $each['id'], 'device_id' => $device->id, 'seq' => $each['seq'], 'at_s' => $each['at_s'], 'device_at' => $each['at'],
                'received_at' => $now, 'measured' => json_encode($each['measured'], JSON_THROW_ON_ERROR),
                'squad_id' => $loan?->squad_id, 'athlete_id' => $loan?->athlete_id,
            ];
        }, $batch->readings);
        $new = $rows === [] ? 0 : DB::table('readings')->insertOrIgnore($rows);
        $device->update([
            'heard_at' => $now,
            ...($batch->battery === null ? [] : ['battery' => $batch->battery]),
            ...($batch->clockOffS === null ? [] : ['clock_off_s' => $batch->clockOffS]),
        ]);
        if ($new > 0 && $device->kind->counts()) {
            foreach (array_unique(array_filter(array_column($rows, 'athlete_id'))) as $athlete) {
                $own = array_filter($rows, fn (array $row): bool => $row['athlete_id'] === $athlete);
                $this->reckon($athlete, array_column($own, 'at_s'));
            }
        }

        if ($new > 0 && $device->kind === DeviceKind::SpeedGun) {
            $times = array_column($rows, 'at_s');
            $squads = array_values(array_unique(array_filter(array_column($rows, 'squad_id'))));
            PriceSpeeds::afterReadings($squads, min($times), max($times));
        }

        return $new;
    }

    /**
     * What a person says of readings of a session: which repetition one was, that it was none, or that nobody tapped it.
     *
     * @param  array{readings: list<string>, rep_id: string|null, word: 'aside'|'counts'|null}  $given  validated
     */
    public function say(TrainingSession $session, array $given, User $by): void
    {
        $rows = DB::table('readings')->whereIn('id', $given['readings'])->where('squad_id', $session->squad_id)->get();
        if ($rows->count() !== count($given['readings'])) {
            throw new Problem(ProblemType::NotFound, 'One of these readings is not of this squad. Load the page again.');
        }
        $rep = $given['rep_id'];
        if ($rep !== null && ! DB::table('rep_events')
            ->join('sheets', 'sheets.id', '=', 'rep_events.sheet_id')
            ->where('rep_events.id', $rep)
            ->where('sheets.training_session_id', $session->id)
            ->exists()) {
            throw new Problem(ProblemType::NotFound, 'This repetition is not of this session. Load the page again.');
        }
        Alone::inClub($by->workspace_id, function () use ($rows, $rep, $given, $by): void {
            if ($rep !== null) {
                // A repetition is one reading's of a device: whoever names it anew takes it from the one that had it.
                DB::table('readings')->where('rep_id', $rep)->whereIn('device_id', $rows->pluck('device_id'))->update(['rep_id' => null]);
            }
            DB::table('readings')->whereIn('id', $rows->pluck('id'))->update([
                'rep_id' => $rep, 'word' => $given['word'], 'word_by' => $by->id,
            ]);
            Audit::of($by, null, 'readings named', ['readings' => $rows->count(), 'word' => $given['word']]);
        });
        PriceSpeeds::dispatch($session->id);
        $this->reckonAll($rows);
    }

    /**
     * Of readings outside every session: that they were none, that they were told of as work, or neither any more.
     *
     * @param  array{readings: list<string>, word: 'aside'|'counts'|null}  $given  validated
     */
    public function sayOutside(array $given, User $by): void
    {
        $rows = DB::table('readings')
            ->join('devices', 'devices.id', '=', 'readings.device_id')
            ->where('devices.workspace_id', $by->workspace_id)
            ->whereIn('readings.id', $given['readings'])
            ->get(['readings.id', 'readings.athlete_id', 'readings.at_s']);
        if ($rows->count() !== count($given['readings'])) {
            throw new Problem(ProblemType::NotFound, 'One of these readings is not there. Load the page again.');
        }
        Alone::inClub($by->workspace_id, function () use ($rows, $given, $by): void {
            DB::table('readings')->whereIn('id', $rows->pluck('id'))->update(['word' => $given['word'], 'word_by' => $by->id]);
            Audit::of($by, null, 'readings named', ['readings' => $rows->count(), 'word' => $given['word']]);
        });
        $this->reckonAll($rows);
    }

    /** What a counter saw before somebody said who wears it is theirs as well. */
    public function reckonLent(Device $device): void
    {
        $loan = DB::table('device_loans')->where('device_id', $device->id)->whereNull('until_s')->first();
        if ($loan?->athlete_id !== null && $device->kind->counts()) {
            $times = DB::table('readings')->where('device_id', $device->id)->where('at_s', '>=', $loan->from_s)->pluck('at_s');
            $this->reckon($loan->athlete_id, $times->map(fn (mixed $at): float => (float) $at)->all());
        }
    }

    /** @param  Collection<int, \stdClass>  $rows */
    private function reckonAll(Collection $rows): void
    {
        foreach ($rows->whereNotNull('athlete_id')->groupBy('athlete_id') as $athlete => $of) {
            $this->reckon((string) $athlete, $of->pluck('at_s')->map(fn (mixed $at): float => (float) $at)->all());
        }
    }

    /** @param  list<float>  $times */
    private function reckon(string $athleteId, array $times): void
    {
        $athlete = Athlete::query()->find($athleteId);
        if ($athlete !== null && $times !== []) {
            Alone::with($athlete->id, function () use ($athlete, $times): void {
                if ($this->load->of($athlete, min($times), max($times))) {
                    AthletesChanged::one($athlete, $athlete->workspace->today());
                }
            });
        }
    }
}
