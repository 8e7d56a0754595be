<?php

declare(strict_types=1);

namespace App\Devices;

use App\Athletes\Athlete;
use App\Devices\Answers\CounterAskedView;
use App\Devices\Answers\ReadingDeviceView;
use App\Devices\Answers\ReadingTapView;
use App\Devices\Answers\ReadingView;
use App\Devices\Answers\SessionReadingsView;
use App\Devices\Answers\SpeedsView;
use App\Sessions\TrainingSession;
use App\Wording\DeviceWording;
use Augendo\Core\Devices\SeenAndTapped;
use Augendo\Core\Devices\Speeds;
use Illuminate\Support\Collection;

/** What did the devices see, and which repetition was each? */
final class ReadingsScreen
{
    public function view(TrainingSession $session): SessionReadingsView
    {
        $found = SessionReadings::of($session);
        $devices = Device::query()->whereIn('id', $found->readings->pluck('device_id')->unique())->get()->keyBy('id');
        $names = Athlete::query()
            ->whereIn('id', [...array_column($found->taps, 'athlete_id'), ...$found->readings->pluck('athlete_id')->filter()])
            ->get()
            ->mapWithKeys(fn (Athlete $athlete): array => [$athlete->id => $athlete->name()])
            ->all();
        $tap = fn (string $id): ReadingTapView => new ReadingTapView(
            $id, $names[$found->taps[$id]['athlete_id']] ?? '', $found->taps[$id]['at_s'],
        );

        return new SessionReadingsView(
            id: $session->id,
            title: $session->title,
            held_on: $session->day()->iso(),
            devices: $devices->map(fn (Device $device): ReadingDeviceView => new ReadingDeviceView(
                id: $device->id,
                name: $device->name,
                kind: $device->kind->value,
                came: $found->readings->where('device_id', $device->id)->count(),
                paired: $found->readings->where('device_id', $device->id)
                    ->filter(fn (object $each): bool => isset($found->pairs[$each->id]))->count(),
                delay_s: round($found->byDevice[$device->id]->delayS, 1),
                drift_s: round($found->byDevice[$device->id]->driftSPerHour, 1),
            ))->values()->all(),
            readings: $found->readings->map(fn (object $each): ReadingView => new ReadingView(
                id: $each->id,
                device: $devices[$each->device_id]->name,
                at_s: (float) $each->at_s,
                said: DeviceWording::reading($each->measured),
                paired: ! isset($found->pairs[$each->id]) ? null : ($each->rep_id === null ? 'time' : 'hand'),
                tap: isset($found->pairs[$each->id]) ? $tap($found->pairs[$each->id]) : null,
                word: $each->word,
            ))->values()->all(),
            taps: array_values(array_map($tap, array_diff(array_keys($found->taps), $found->pairs))),
            asked: self::asked($found, $devices, $names),
            speeds: self::speeds($found, $names),
        );
    }

    /**
     * @param  Collection<string, Device>  $devices
     * @param  array<string, string>  $names
     * @return list<CounterAskedView>
     */
    private static function asked(SessionReadings $found, Collection $devices, array $names): array
    {
        $asked = [];
        $counting = $found->readings->filter(
            fn (object $each): bool => $each->athlete_id !== null && $devices[$each->device_id]->kind->counts(),
        );
        foreach ($counting->groupBy(fn (object $each): string => "{$each->athlete_id} {$each->device_id}") as $own) {
            $athlete = $own->first()->athlete_id;
            $counted = SeenAndTapped::of(
                [$own->filter(fn (object $each): bool => $each->word !== 'aside')->count()],
                count(array_filter($found->taps, fn (array $tap): bool => $tap['athlete_id'] === $athlete)),
            );
            $open = $own->filter(fn (object $each): bool => ! isset($found->pairs[$each->id]) && $each->word === null);
            if ($counted->beyond() > 0 && $open->isNotEmpty()) {
                $asked[] = new CounterAskedView(
                    $names[$athlete] ?? '', $counted->seen, $counted->tapped, $open->pluck('id')->values()->all(),
                    DeviceWording::sawMore($names[$athlete] ?? '', $counted),
                );
            }
        }

        return $asked;
    }

    /**
     * @param  array<string, string>  $names
     * @return list<SpeedsView>
     */
    private static function speeds(SessionReadings $found, array $names): array
    {
        $byAthlete = [];
        foreach ($found->readings as $each) {
            $speed = $each->measured['speed_ms'] ?? null;
            if ($speed !== null && isset($found->pairs[$each->id])) {
                $byAthlete[$found->taps[$found->pairs[$each->id]]['athlete_id']][] = (float) $speed;
            }
        }

        return array_values(array_map(function (array $speeds, string $athlete) use ($names): SpeedsView {
            $told = Speeds::of($speeds);

            return new SpeedsView(
                $names[$athlete] ?? '',
                $told->speedsMs,
                round($told->medianMs, 2),
                $told->fade === null ? null : round($told->fade, 4),
            );
        }, $byAthlete, array_keys($byAthlete)));
    }
}
