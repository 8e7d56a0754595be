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
use App\Limits\AthleteLoads;
use App\Sessions\TrainingSession;
use App\Wording\DeviceWording;
use Augendo\Core\Day;
use Augendo\Core\Devices\SeenAndTapped;
use Augendo\Core\Devices\Speeds;
use Augendo\Core\Library\Library;
use Illuminate\Support\Collection;

/** What did the devices see, and which repetition was each? */
final class ReadingsScreen
{
    public function __construct(private readonly AthleteLoads $loads, private readonly Library $library) {}

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
            speeds: $this->speeds($found, $names, $session->day()),
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
     * @return list<SpeedsView> one for each athlete and skill
     */
    private function speeds(SessionReadings $found, array $names, Day $on): array
    {
        $bySkill = $efforts = [];
        foreach ($found->readings as $each) {
            $speed = $each->measured['speed_ms'] ?? null;
            if ($speed !== null && isset($found->pairs[$each->id])) {
                $tap = $found->taps[$found->pairs[$each->id]];
                $bySkill["{$tap['athlete_id']} {$tap['skill']}"][] = (float) $speed;
                $efforts["{$tap['athlete_id']} {$tap['skill']}"][] = $tap['effort'];
            }
        }
        $ids = array_map(fn (string $of): string => explode(' ', $of)[0], array_keys($bySkill));
        $athletes = Athlete::query()->whereIn('id', $ids)->get();
        $profiles = $this->loads->profiles($athletes->all(), $on);
        $skills = $this->library->skillNames();
        $views = [];
        foreach ($bySkill as $of => $speeds) {
            [$athlete, $skill] = explode(' ', $of);
            $told = Speeds::of($speeds);
            $reference = $profiles[$athlete]->referenceSpeedMs[$skill] ?? null;
            $effort = $told->effort($efforts[$of], $reference);
            $views[] = new SpeedsView(
                athlete_id: $athlete,
                athlete: $names[$athlete] ?? '',
                skill: $skill,
                skill_name: $skills[$skill] ?? $skill,
                speeds_ms: $told->speedsMs,
                median_ms: round($told->medianMs, 2),
                fade: $told->fade === null ? null : round($told->fade, 4),
                drops_after: $told->dropsAfter(),
                outliers_ms: $told->outliers(),
                fastest_ms: $told->fastestMs(),
                reference_ms: $reference,
                asked: $effort[0] ?? null,
                implied: $effort === null ? null : round($effort[1], 4),
            );
        }

        return $views;
    }
}
