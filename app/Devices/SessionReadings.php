<?php

declare(strict_types=1);

namespace App\Devices;

use App\Athletes\Athlete;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Devices\Pairing;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Readings and taps of one session, paired by the clock where nobody has named them. Worked out when it is looked at. */
final readonly class SessionReadings
{
    /** What came so long before the first tap and after the last is of the session still. */
    private const AROUND_S = 1800.0;

    private const EARLY_S = 900.0;

    /**
     * @param  Collection<int, \stdClass>  $readings  in order of time
     * @param  array<string, array{at_s: float, sheet_id: string, athlete_id: string, block_id: string}>  $taps  repetitions that stand
     * @param  array<string, string>  $pairs  id of the tap by id of the reading
     * @param  array<string, Pairing>  $byDevice
     */
    private function __construct(public Collection $readings, public array $taps, public array $pairs, public array $byDevice) {}

    public static function of(TrainingSession $session): self
    {
        $session->loadMissing('squad.workspace');
        $sheets = Sheet::query()->where('training_session_id', $session->id)->with('events')->get();
        $taps = [];
        foreach ($sheets as $sheet) {
            $taps += self::tapsOf($sheet);
        }
        uasort($taps, fn (array $a, array $b): int => $a['at_s'] <=> $b['at_s']);
        [$from, $until] = self::span($session, $taps);
        $readings = DB::table('readings')
            ->where('squad_id', $session->squad_id)
            ->whereBetween('at_s', [$from, $until])
            ->orderBy('at_s')
            ->get();
        $pairs = $byDevice = [];
        foreach ($readings->groupBy('device_id') as $device => $own) {
            $named = $own->whereNotNull('rep_id')->pluck('rep_id', 'id')->filter(fn (string $rep): bool => isset($taps[$rep]))->all();
            $free = $own->filter(fn (object $each): bool => ! isset($named[$each->id]) && $each->word === null);
            $athlete = $own->first()->athlete_id;
            $open = array_filter(
                array_diff_key($taps, array_flip($named)),
                fn (array $tap): bool => $athlete === null || $tap['athlete_id'] === $athlete,
            );
            $pairing = Pairing::of(
                $free->mapWithKeys(fn (object $each): array => [$each->id => (float) $each->at_s])->all(),
                array_map(fn (array $tap): float => $tap['at_s'], $open),
            );
            $byDevice[$device] = $pairing;
            $pairs += $named + $pairing->pairs;
        }

        return new self($readings, $taps, $pairs, $byDevice);
    }

    /** @return int how many more repetitions an athlete's counters saw than were tapped; 0: not more */
    public static function beyondTaps(Athlete $athlete, Sheet $sheet): int
    {
        $sheet->loadMissing(['events', 'trainingSession.squad.workspace']);
        $taps = self::tapsOf($sheet);
        [$from, $until] = self::span($sheet->trainingSession, $taps);
        $seen = DB::table('readings')
            ->join('devices', 'devices.id', '=', 'readings.device_id')
            ->where('devices.kind', DeviceKind::WristCounter->value)
            ->where('readings.athlete_id', $athlete->id)
            ->where('readings.squad_id', $sheet->trainingSession->squad_id)
            ->whereBetween('at_s', [$from, $until])
            ->where(fn ($word) => $word->whereNull('word')->orWhere('word', '!=', 'aside'))
            ->selectRaw('device_id, count(*) as seen')
            ->groupBy('device_id')
            ->pluck('seen');

        return max(0, (int) $seen->max() - count($taps));
    }

    /** @return Collection<int, Sheet> of an athlete, whose session readings of that time may be of */
    public static function sheetsAround(Athlete $athlete, float $fromS, float $untilS): Collection
    {
        $zone = $athlete->loadMissing('workspace')->workspace->timezone;
        $day = fn (float $at): string => Carbon::createFromTimestamp($at, $zone)->toDateString();

        return Sheet::query()
            ->where('athlete_id', $athlete->id)
            ->whereBetween('held_on', [$day($fromS - self::AROUND_S), $day($untilS + self::AROUND_S)])
            ->whereIn('state', ['planned', 'running', 'finished'])
            ->with('blocks')
            ->get();
    }

    /** @return array<string, array{at_s: float, sheet_id: string, athlete_id: string, block_id: string}> repetitions that stand */
    private static function tapsOf(Sheet $sheet): array
    {
        return collect(TapFold::standing($sheet->taps()))->mapWithKeys(fn (Tap $tap): array => [$tap->id => [
            'at_s' => (float) Carbon::parse($tap->at->text)->getPreciseTimestamp(3) / 1000,
            'sheet_id' => $sheet->id,
            'athlete_id' => $sheet->athlete_id,
            'block_id' => $tap->blockId,
        ]])->all();
    }

    /**
     * @param  array<string, array{at_s: float, sheet_id: string, athlete_id: string, block_id: string}>  $taps
     * @return array{float, float}
     */
    private static function span(TrainingSession $session, array $taps): array
    {
        $starts = self::startS($session, $session->starts_at);
        $times = [...array_column($taps, 'at_s'), ...($taps === [] ? [$starts, $starts + 60.0 * ($session->minutes ?? 120)] : [])];

        [$from, $until] = [min($times) - self::AROUND_S, max($times) + self::AROUND_S];
        // A reading is of one session: the later of two begins for it a quarter of an hour before it starts.
        $began = $taps === [] ? $starts : min(array_column($taps, 'at_s'));
        foreach (self::othersOfTheDay($session) as $other) {
            [$from, $until] = $other > $began
                ? [$from, min($until, $other - self::EARLY_S)]
                : [max($from, $began - self::EARLY_S), $until];
        }

        return [$from, $until];
    }

    /** @return list<float> when the squad's other sessions of the day began, or are to begin where nobody has counted in them yet */
    private static function othersOfTheDay(TrainingSession $session): array
    {
        return TrainingSession::query()
            ->where('squad_id', $session->squad_id)
            ->where('held_on', $session->day()->iso())
            ->whereKeyNot($session->id)
            ->withMin('sheets', 'started_at')
            ->get()
            ->map(fn (TrainingSession $other): float => $other->getAttribute('sheets_min_started_at') === null
                ? self::startS($session, $other->starts_at)
                : (float) Carbon::parse((string) $other->getAttribute('sheets_min_started_at'))->timestamp)
            ->all();
    }

    private static function startS(TrainingSession $session, string $at): float
    {
        return (float) Carbon::parse("{$session->day()->iso()} {$at}", $session->squad->workspace->timezone)->timestamp;
    }
}
