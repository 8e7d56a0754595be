<?php

declare(strict_types=1);

namespace App\Devices;

/** What a device measures. */
enum DeviceKind: string
{
    case SpeedGun = 'speed_gun';
    case WristCounter = 'wrist_counter';
    case LandingPad = 'landing_pad';
    case Feeder = 'feeder';

    /** @return list<string> names of the figures it may send, the first of which it always does */
    public function figures(): array
    {
        return match ($this) {
            self::SpeedGun => ['speed_ms'],
            self::WristCounter => ['peak_deg_s', 'guess'],
            self::LandingPad => ['contact_s', 'height_m'],
            self::Feeder => ['interval_s'],
        };
    }

    /** Whether each of its readings is a repetition of whoever wears it. */
    public function counts(): bool
    {
        return $this === self::WristCounter;
    }

    /** @return list<string> kinds of which each reading is a repetition */
    public static function counting(): array
    {
        $counting = array_filter(self::cases(), fn (self $kind): bool => $kind->counts());

        return array_map(fn (self $kind): string => $kind->value, array_values($counting));
    }
}
