<?php

declare(strict_types=1);

namespace App\Devices;

use App\Athletes\Athlete;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Devices\Pairing;
use Augendo\Core\Devices\SeenAndTapped;
use Augendo\Core\Devices\SessionSpan;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Readings and taps of one session, paired by the clock where nobody has named them. Worked out when it is looked at. */
final readonly class SessionReadings
{
    /**
     * @param  Collection<int, \stdClass>  $readings  in order of time
     * @param  array<string, array{at_s: float, sheet_id: string, athlete_id: string, skill: string, effort: float|null}>  $taps  that stand
     * @param  array<string, string>  $pairs  id of the tap by id of the reading
     * @param  array<string, Pairing>  $byDevice
     */
    private function __construct(public Collection $readings, public array $taps, public array $pairs, public array $byDevice) {}

    public static function of(TrainingSession $session): self
    {
        $taps = [];
        foreach (Sheet::query()->where('training_session_id', $session->id)->with(['events', 'blocks'])->get() as $sheet) {
            $taps += self::tapsOf($sheet);
        }
        uasort($taps, fn (array $a, array $b): int => $a['at_s'] <=> $b['at_s']);
        $span = self::span($session, $taps);
        $readings = DB::table('readings')
            ->where('squad_id', $session->squad_id)
            ->whereBetween('at_s', [$span->fromS, $span->untilS])
            ->orderBy('at_s')
            ->orderBy('seq')
            ->get()
            ->map(self::measured(...));
        $pairs = $byDevice = [];
        foreach ($readings->groupBy('device_id') as $device => $own) {
            $named = $own->whereNotNull('rep_id')->pluck('rep_id', 'id')->filter(fn (string $rep): bool => isset($taps[$rep]))->all();
            // Who wears a counter is said when it is lent: another wears it from then on.
            foreach ($own->groupBy(fn (object $each): string => (string) $each->athlete_id) as $athlete => $worn) {
                $free = $worn->filter(fn (object $each): bool => ! isset($named[$each->id]) && $each->word === null);
                $open = array_filter(
                    array_diff_key($taps, array_flip($named)),
                    fn (array $tap): bool => $athlete === '' || $tap['athlete_id'] === $athlete,
                );
                $pairing = Pairing::of(
                    $free->mapWithKeys(fn (object $each): array => [$each->id => (float) $each->at_s])->all(),
                    array_map(fn (array $tap): float => $tap['at_s'], $open),
                );
                $byDevice[$device] ??= $pairing;
                $pairs += $named + $pairing->pairs;
            }
        }

        return new self($readings, $taps, $pairs, $byDevice);
    }

    /** @return array<string, array<string, float>> by sheet the speed of each repetition, m/s: of two that measured it the larger */
    public function speedsBySheet(): array
    {
        $speeds = [];
        foreach ($this->readings as $each) {
            $speed = $each->measured['speed_ms'] ?? null;
            $rep = $this->pairs[$each->id] ?? null;
            if ($speed !== null && $rep !== null && $each->word !== 'aside') {
                $sheet = $this->taps[$rep]['sheet_id'];
                $speeds[$sheet][$rep] = max((float) $speed, $speeds[$sheet][$rep] ?? 0.0);
            }
        }

        return $speeds;
    }

    /** What the counters of an athlete saw beside what was tapped on a sheet. */
    public static function counted(Athlete $athlete, Sheet $sheet): SeenAndTapped
    {
        $sheet->loadMissing(['events', 'blocks', 'trainingSession.squad.workspace']);
        $taps = self::tapsOf($sheet);
        $span = self::span($sheet->trainingSession, $taps);
        $seen = DB::table('readings')
            ->join('devices', 'devices.id', '=', 'readings.device_id')
            ->whereIn('devices.kind', DeviceKind::counting())
            ->where('readings.athlete_id', $athlete->id)
            ->where('readings.squad_id', $sheet->trainingSession->squad_id)
            ->whereBetween('at_s', [$span->fromS, $span->untilS])
            ->where(fn ($word) => $word->whereNull('word')->orWhere('word', '!=', 'aside'))
            ->groupBy('device_id')
            ->selectRaw('count(*) as seen')
            ->pluck('seen');

        return SeenAndTapped::of($seen->map(fn (mixed $n): int => (int) $n)->all(), count($taps));
    }

    /** @return Collection<int, Sheet> of an athlete, whose session readings of that time may be of */
    public static function sheetsAround(Athlete $athlete, float $fromS, float $untilS): Collection
    {
        $workspace = $athlete->loadMissing('workspace')->workspace;
        $day = fn (float $at): string => $workspace->dayAt($at)->iso();

        return Sheet::query()
            ->where('athlete_id', $athlete->id)
            ->whereBetween('held_on', [$day($fromS - SessionSpan::AROUND_S), $day($untilS + SessionSpan::AROUND_S)])
            ->whereIn('state', ['planned', 'running', 'finished'])
            ->with('blocks')
            ->get();
    }

    /** @return list<array{int, SessionSpan}> squad and time of each session an athlete has a sheet of, around those instants */
    public static function spansOf(Athlete $athlete, float $fromS, float $untilS): array
    {
        $spans = [];
        foreach (self::sheetsAround($athlete, $fromS, $untilS) as $sheet) {
            $sheet->loadMissing(['events', 'trainingSession']);
            $spans[] = [$sheet->trainingSession->squad_id, self::span($sheet->trainingSession, self::tapsOf($sheet))];
        }

        return $spans;
    }

    /**
     * @param  list<string>  $days
     * @return list<array{int, SessionSpan}> squad and time of each session of a squad on those days
     */
    public static function spansOfSquad(int $squadId, array $days): array
    {
        $sessions = TrainingSession::query()
            ->where('squad_id', $squadId)
            ->whereIn('held_on', $days)
            ->with(['sheets.events', 'sheets.blocks'])
            ->get();

        return $sessions->map(fn (TrainingSession $session): array => [
            $squadId,
            self::span($session, array_merge(...$session->sheets->map(fn (Sheet $sheet): array => self::tapsOf($sheet))->all())),
        ])->values()->all();
    }

    /** @param  list<array{int, SessionSpan}>  $spans */
    public static function isWithin(array $spans, int $squadId, float $atS): bool
    {
        foreach ($spans as [$squad, $span]) {
            if ($squad === $squadId && $span->holds($atS)) {
                return true;
            }
        }

        return false;
    }

    private static function measured(\stdClass $row): \stdClass
    {
        $row->measured = json_decode($row->measured, true, flags: JSON_THROW_ON_ERROR);

        return $row;
    }

    /** @return array<string, array{at_s: float, sheet_id: string, athlete_id: string, skill: string, effort: float|null}> that stand */
    private static function tapsOf(Sheet $sheet): array
    {
        $skills = $sheet->blocks->pluck('skill', 'id');

        return collect(TapFold::standing($sheet->taps()))->mapWithKeys(fn (Tap $tap): array => [$tap->id => [
            'at_s' => (float) Carbon::parse($tap->at->text)->getPreciseTimestamp(3) / 1000,
            'sheet_id' => $sheet->id,
            'athlete_id' => $sheet->athlete_id,
            'skill' => $skills[$tap->blockId] ?? '',
            'effort' => $tap->effort,
        ]])->all();
    }

    /** @param  array<string, array{at_s: float, sheet_id: string, athlete_id: string, skill: string, effort: float|null}>  $taps */
    private static function span(TrainingSession $session, array $taps): SessionSpan
    {
        $session->loadMissing('squad.workspace');
        $starts = fn (TrainingSession $of): float => (float) Carbon::parse(
            "{$session->day()->iso()} {$of->starts_at}", $session->squad->workspace->timezone,
        )->timestamp;
        $others = TrainingSession::query()
            ->where('squad_id', $session->squad_id)
            ->where('held_on', $session->day()->iso())
            ->whereKeyNot($session->id)
            ->withMin('sheets', 'started_at')
            ->get()
            ->map(function (TrainingSession $other) use ($starts): float {
                $began = $other->getAttribute('sheets_min_started_at');

                return $began === null ? $starts($other) : (float) Carbon::parse((string) $began)->timestamp;
            });

        return SessionSpan::of($starts($session), $session->minutes, array_column($taps, 'at_s'), $others->values()->all());
    }
}
