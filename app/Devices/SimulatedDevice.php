<?php

declare(strict_types=1);

namespace App\Devices;

use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/** A stand-in that ships with Augendo: it misses some, counts some that were none, and its clock is its own. */
final class SimulatedDevice
{
    private int $seq = 0;

    private float $battery = 0.9;

    /**
     * @param  float  $missed  share of repetitions it does not see
     * @param  float  $false  share it sees where there was none
     * @param  float  $behindS  how far its clock is behind
     */
    public function __construct(
        private readonly DeviceKind $kind,
        private readonly float $missed,
        private readonly float $false,
        private readonly float $behindS,
    ) {}

    public function clock(Carbon $now): string
    {
        return $now->copy()->subMilliseconds((int) (1000 * $this->behindS))->format('Y-m-d\\TH:i:s.vP');
    }

    public function battery(): float
    {
        return $this->battery = max(0.05, $this->battery - 0.001);
    }

    /** @return list<array<string, mixed>> what it makes of one repetition: nothing, one reading, or one and another that was none */
    public function repetition(Carbon $at): array
    {
        $readings = [];
        if (self::chance() >= $this->missed) {
            $readings[] = $this->reading($at);
        }
        if (self::chance() < $this->false) {
            $readings[] = $this->reading($at->copy()->addMilliseconds(mt_rand(1500, 5000)));
        }
        if ($readings === []) {
            $this->seq++;
        }

        return $readings;
    }

    /** @return array<string, mixed> */
    private function reading(Carbon $at): array
    {
        return [
            'id' => (string) Str::uuid7(),
            'seq' => ++$this->seq,
            'at' => $this->clock($at),
            ...match ($this->kind) {
                DeviceKind::SpeedGun => ['speed_ms' => round(16 + 2 * self::chance() - 0.01 * $this->seq, 1)],
                DeviceKind::WristCounter => ['peak_deg_s' => mt_rand(900, 2200), 'guess' => self::chance() < 0.9 ? 'serve' : 'wave'],
                DeviceKind::LandingPad => [
                    'contact_s' => round(0.18 + 0.1 * self::chance(), 3), 'height_m' => round(0.2 + 0.1 * self::chance(), 2),
                ],
                DeviceKind::Feeder => ['interval_s' => round(5.5 + self::chance(), 1)],
            },
        ];
    }

    private static function chance(): float
    {
        return mt_rand() / mt_getrandmax();
    }
}
