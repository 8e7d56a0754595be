<?php

declare(strict_types=1);

namespace App\Devices;

use App\Athletes\Squad;
use App\Devices\Answers\DevicesView;
use App\Devices\Answers\DeviceView;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\Audit;
use Augendo\Core\Devices\Loan;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** What measures and counts for a club: added, lent, taken out of use. */
final class Devices
{
    private const GAPS_SHOWN = 5;

    private const LATELY_S = 604_800.0;

    /** @param  string|null  $token  of one that was added just now */
    public function all(User $by, ?string $token = null): DevicesView
    {
        $loans = DB::table('device_loans')
            ->join('squads', 'squads.id', '=', 'device_loans.squad_id')
            ->where('squads.workspace_id', $by->workspace_id)
            ->whereNull('until_s')
            ->get(['device_id', 'squad_id', 'athlete_id'])
            ->keyBy('device_id');
        $since = (float) Carbon::now()->timestamp - self::LATELY_S;
        $devices = Device::query()->where('workspace_id', $by->workspace_id)->orderByRaw('revoked_at is not null')->orderBy('name')->get();
        $counts = DB::table('readings')
            ->whereIn('device_id', $devices->modelKeys())
            ->where('at_s', '>=', $since)
            ->groupBy('device_id')
            ->selectRaw("device_id, count(*) as came, sum(case when word = 'aside' then 1 else 0 end) as aside")
            ->get()
            ->keyBy('device_id');
        $gaps = self::gaps($devices->modelKeys(), $since);

        return new DevicesView(
            devices: $devices->map(fn (Device $device): DeviceView => new DeviceView(
                id: $device->id,
                name: $device->name,
                kind: $device->kind->value,
                in_use: $device->revoked_at === null,
                squad: isset($loans[$device->id]) ? (int) $loans[$device->id]->squad_id : null,
                athlete_id: $loans[$device->id]->athlete_id ?? null,
                battery: $device->battery,
                heard_at: $device->heard_at?->timezone($by->workspace->timezone)->toIso8601String(),
                clock_off_s: $device->clock_off_s,
                came: (int) ($counts[$device->id]->came ?? 0),
                aside: (int) ($counts[$device->id]->aside ?? 0),
                gaps: $gaps[$device->id] ?? [],
            ))->values()->all(),
            token: $token,
        );
    }

    /**
     * @param  array{id: string, name: string, kind: string}  $given  validated
     * @return string|null its token, shown this once; null when it was there already
     */
    public function keep(array $given, User $by): ?string
    {
        return Alone::inClub($by->workspace_id, function () use ($given, $by): ?string {
            $device = Device::query()->find($given['id']);
            if ($device !== null && $device->workspace_id !== $by->workspace_id) {
                throw new Problem(ProblemType::NotFound, 'There is no such device.');
            }
            Audit::of($by, null, $device === null ? 'device added' : 'device changed', ['device' => $given['id']]);
            if ($device !== null) {
                $device->update(['name' => $given['name']]);

                return null;
            }
            $token = Str::random(40);
            (new Device)->forceFill([
                ...$given, 'workspace_id' => $by->workspace_id, 'token_hash' => hash('sha256', $token), 'made_by' => $by->id,
                'made_at' => Carbon::now(),
            ])->save();

            return $token;
        });
    }

    /** @param  array{squad: int|null, athlete_id: string|null}  $given  validated; no squad: it is nobody's until it is lent again */
    public function lend(Device $device, array $given, User $by): void
    {
        $squad = $given['squad'] === null ? null : $by->visibleSquads()->find($given['squad'])
            ?? throw new Problem(ProblemType::NotFound, 'There is no such squad.');
        if ($given['athlete_id'] !== null && ! self::isIn($squad, $given['athlete_id'])) {
            throw new Problem(ProblemType::NotInThisSquad, 'This athlete is not in the squad it is lent to.');
        }
        $now = (float) Carbon::now()->getPreciseTimestamp(3) / 1000;
        Alone::inClub($by->workspace_id, function () use ($device, $squad, $given, $by, $now): void {
            DB::table('device_loans')->where('device_id', $device->id)->whereNull('until_s')->update(['until_s' => $now]);
            if ($squad !== null) {
                $before = DB::table('device_loans')->where('device_id', $device->id)->max('until_s');
                $from = Loan::begun($now, $before === null ? null : (float) $before)->fromS;
                $whose = ['squad_id' => $squad->id, 'athlete_id' => $given['athlete_id']];
                DB::table('device_loans')->insert([
                    'id' => (string) Str::uuid7(), 'device_id' => $device->id, ...$whose, 'from_s' => $from, 'lent_by' => $by->id,
                ]);
                DB::table('readings')
                    ->where('device_id', $device->id)
                    ->whereNull('squad_id')
                    ->where('at_s', '>=', $from)
                    ->update($whose);
            }
            Audit::of($by, null, 'device lent', ['device' => $device->id, 'squad' => $squad?->id]);
        });
    }

    /** Its token opens nothing any more; what it measured stays. */
    public function revoke(Device $device, User $by): void
    {
        Alone::inClub($by->workspace_id, function () use ($device, $by): void {
            $device->update(['revoked_at' => $device->revoked_at ?? Carbon::now()]);
            DB::table('device_loans')
                ->where('device_id', $device->id)
                ->whereNull('until_s')
                ->update(['until_s' => (float) Carbon::now()->timestamp]);
            Audit::of($by, null, 'device taken out of use', ['device' => $device->id]);
        });
    }

    /**
     * @param  list<string>  $devices
     * @return array<string, list<string>> numbers that never came, as ranges, the latest few, by device
     */
    private static function gaps(array $devices, float $since): array
    {
        $numbers = DB::table('readings')
            ->whereIn('device_id', $devices)
            ->where('at_s', '>=', $since)
            ->selectRaw('device_id, seq, lag(seq) over (partition by device_id order by seq) as before');
        $gaps = [];
        foreach (DB::query()->fromSub($numbers, 'numbers')->whereRaw('seq > before + 1')->orderBy('seq')->get() as $gap) {
            [$first, $last] = [$gap->before + 1, $gap->seq - 1];
            $gaps[$gap->device_id][] = $first === $last ? (string) $first : "{$first}–{$last}";
        }

        return array_map(fn (array $own): array => array_slice($own, -self::GAPS_SHOWN), $gaps);
    }

    private static function isIn(?Squad $squad, string $athlete): bool
    {
        return $squad !== null && DB::table('athlete_squad')->where('squad_id', $squad->id)->where('athlete_id', $athlete)->exists();
    }
}
