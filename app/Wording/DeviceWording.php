<?php

declare(strict_types=1);

namespace App\Wording;

use Augendo\Core\Devices\SeenAndTapped;

/** What a device measured, in words. */
final class DeviceWording
{
    /** How each figure is told: in which unit, and how many of them its own unit is. */
    private const UNITS = [
        'speed_ms' => [' m/s', 1], 'peak_deg_s' => [' °/s at most', 1], 'contact_s' => [' ms on the ground', 1000],
        'height_m' => [' cm high', 100], 'interval_s' => [' s after the one before', 1],
    ];

    /** @param  array<string, mixed>  $measured */
    public static function reading(array $measured): string
    {
        $parts = [];
        foreach ($measured as $name => $value) {
            [$unit, $times] = self::UNITS[$name] ?? [null, 1];
            $parts[] = $unit === null ? "seems a {$value}" : Wording::number($times * (float) $value).$unit;
        }

        return $parts === [] ? 'one' : implode(', ', $parts);
    }

    /**
     * What came in outside every session.
     *
     * @param  list<float>  $speedsMs
     * @param  SeenAndTapped|null  $counted  what its wearer's counters saw that day beside what was told; null: it counts for nobody
     */
    public static function outside(int $came, ?string $name, array $speedsMs, ?SeenAndTapped $counted): string
    {
        if ($speedsMs !== []) {
            return Wording::count($came, 'speed').', the fastest '.Wording::number(max($speedsMs)).' m/s. Nobody was training.';
        }
        if ($counted === null || $name === null) {
            return Wording::count($came, 'reading').', while nobody was training.';
        }
        $told = $counted->tapped === 0 ? 'nothing was told of it' : "{$counted->tapped} were told of";

        return "The counter of {$name} saw {$counted->seen} outside the sessions, {$told}. ".(
            $counted->beyond() === 0
                ? 'They count once.'
                : "Until somebody says what they were, {$counted->beyond()} count as full effort."
        );
    }

    public static function sawMore(string $name, SeenAndTapped $counted): string
    {
        return "The counter of {$name} saw {$counted->seen}, {$counted->tapped} were tapped. Until somebody says what the others were, "
            ."{$counted->seen} are the load.";
    }
}
