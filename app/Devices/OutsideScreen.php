<?php

declare(strict_types=1);

namespace App\Devices;

use App\Athletes\Athlete;
use App\Devices\Answers\OutsideGroupView;
use App\Devices\Answers\OutsideView;
use App\People\User;
use App\Wording\DeviceWording;
use Augendo\Core\Day;
use Augendo\Core\Devices\SessionSpan;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What did the devices see when nobody was training? */
final class OutsideScreen
{
    private const LAST_DAYS = 14;

    /** Readings that are looked at, the latest. */
    private const MOST = 5000;

    public function __construct(private readonly OutsideLoad $load) {}

    public function view(User $by): OutsideView
    {
        $devices = Device::query()->where('workspace_id', $by->workspace_id)->get()->keyBy('id');
        $day = fn (object $each): string => $by->workspace->dayAt((float) $each->at_s)->iso();
        $readings = DB::table('readings')
            ->whereIn('device_id', $devices->modelKeys())
            ->where('at_s', '>=', (float) Carbon::now()->subDays(self::LAST_DAYS)->timestamp)
            ->whereNull('word')
            ->whereNull('rep_id')
            ->orderByDesc('at_s')
            ->limit(self::MOST)
            ->get();
        $athletes = Athlete::query()->with('workspace')->whereIn('id', $readings->pluck('athlete_id')->filter())->get()->keyBy('id');
        $groups = [];
        foreach ($readings->groupBy(fn (object $each): string => "{$day($each)}|{$each->squad_id}|{$each->athlete_id}") as $own) {
            $athlete = $athletes[$own[0]->athlete_id] ?? null;
            $spans = self::spans($own, $athlete, $day($own[0]));
            $outside = $own->reject(
                fn (object $each): bool => SessionReadings::isWithin($spans, (int) $each->squad_id, (float) $each->at_s),
            );
            foreach ($outside->groupBy('device_id') as $id => $seen) {
                $groups[] = $this->group($devices[$id], $athlete, $day($own[0]), $seen->reverse()->values());
            }
        }

        return new OutsideView($groups);
    }

    /**
     * @param  Collection<int, \stdClass>  $readings
     * @return list<array{int, SessionSpan}>
     */
    private static function spans(Collection $readings, ?Athlete $athlete, string $day): array
    {
        $times = $readings->pluck('at_s')->map(fn (mixed $at): float => (float) $at);
        if ($athlete !== null) {
            return SessionReadings::spansOf($athlete, $times->min(), $times->max());
        }

        return $readings[0]->squad_id === null ? [] : SessionReadings::spansOfSquad((int) $readings[0]->squad_id, [$day]);
    }

    /** @param  Collection<int, \stdClass>  $seen  in order of time */
    private function group(Device $device, ?Athlete $athlete, string $day, Collection $seen): OutsideGroupView
    {
        $speeds = $seen->map(fn (object $each): ?float => json_decode($each->measured, true)['speed_ms'] ?? null)->filter();
        $counted = $athlete === null || ! $device->kind->counts() ? null : $this->load->seen($athlete, Day::of($day))->counted;

        return new OutsideGroupView(
            device: $device->name,
            kind: $device->kind->value,
            day: $day,
            from_s: (float) $seen->first()->at_s,
            until_s: (float) $seen->last()->at_s,
            athlete_id: $athlete?->id,
            athlete: $athlete?->name(),
            readings: $seen->pluck('id')->all(),
            said: DeviceWording::outside($seen->count(), $athlete?->name(), $speeds->values()->all(), $counted),
            fastest_ms: $speeds->isEmpty() ? null : (float) $speeds->max(),
            load: $counted?->beyond() ?? 0,
        );
    }
}
