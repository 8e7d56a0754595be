<?php

declare(strict_types=1);

namespace App\Devices;

use App\Courtside\RepLog;
use App\Records\Alone;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * Gives each repetition of a session the speed that was measured of it, and prices its sheets by it. The pairing looks at the whole
 * session, so it is done beside the taps, and only what it changes is written. Coming twice it changes nothing.
 */
final class PriceSpeeds implements ShouldQueue
{
    use Dispatchable, Queueable;

    /** Taps and readings come in handfuls: those of so many seconds are paired at once. */
    private const GATHER_S = 5;

    public int $tries = 3;

    public int $timeout = 120;

    public function __construct(public readonly string $sessionId) {}

    /** After taps of a sheet: asked for only where somebody measured speeds on one of the days around it. */
    public static function afterTaps(Sheet $sheet): void
    {
        $day = Carbon::parse($sheet->day()->iso(), 'UTC');
        $isMeasured = DB::table('readings')
            ->join('devices', 'devices.id', '=', 'readings.device_id')
            ->where('devices.kind', DeviceKind::SpeedGun->value)
            ->where('readings.squad_id', DB::table('training_sessions')->where('id', $sheet->training_session_id)->select('squad_id'))
            ->whereBetween('at_s', [$day->clone()->subDay()->timestamp, $day->clone()->addDays(2)->timestamp])
            ->exists();
        if ($isMeasured) {
            self::ask($sheet->training_session_id);
        }
    }

    /**
     * After readings came, or were named, of such a time.
     *
     * @param  list<int>  $squads
     */
    public static function afterReadings(array $squads, float $fromS, float $untilS): void
    {
        // A session's day is the club's own: a day more on either side holds it in any zone.
        $day = fn (float $at): Carbon => Carbon::createFromTimestamp($at, 'UTC');
        $sessions = TrainingSession::query()
            ->whereIn('squad_id', $squads)
            ->whereBetween('held_on', [$day($fromS)->subDay()->toDateString(), $day($untilS)->addDay()->toDateString()])
            ->pluck('id');
        foreach ($sessions as $id) {
            self::ask($id);
        }
    }

    public function handle(RepLog $log): void
    {
        $session = TrainingSession::query()->find($this->sessionId);
        if ($session === null) {
            return;
        }
        $speeds = SessionReadings::of($session)->speedsBySheet();
        $kept = DB::table('rep_speeds')
            ->whereIn('sheet_id', $session->sheets()->select('id'))
            ->get()
            ->groupBy('sheet_id')
            ->map(fn ($rows): array => $rows->mapWithKeys(fn (object $row): array => [$row->rep_id => (float) $row->speed_ms])->all())
            ->all();
        foreach (array_unique([...array_keys($speeds), ...array_keys($kept)]) as $id) {
            $of = $speeds[$id] ?? [];
            // In any order: two arrays of the same speeds are the same.
            if ($of != ($kept[$id] ?? [])) {
                $this->price(Sheet::query()->findOrFail($id), $of, $log);
            }
        }
    }

    private static function ask(string $sessionId): void
    {
        if (Cache::add("speeds|{$sessionId}", 1, self::GATHER_S)) {
            self::dispatch($sessionId)->delay(self::GATHER_S + 1)->afterCommit();
        }
    }

    /** @param  array<string, float>  $speeds  metres per second by repetition */
    private function price(Sheet $sheet, array $speeds, RepLog $log): void
    {
        Alone::with($sheet->athlete_id, function () use ($sheet, $speeds, $log): void {
            DB::table('rep_speeds')->where('sheet_id', $sheet->id)->delete();
            DB::table('rep_speeds')->insert(array_map(
                fn (string $rep, float $speed): array => ['rep_id' => $rep, 'sheet_id' => $sheet->id, 'speed_ms' => $speed],
                array_keys($speeds),
                $speeds,
            ));
            $log->derive($sheet);
        });
    }
}
