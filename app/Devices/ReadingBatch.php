<?php

declare(strict_types=1);

namespace App\Devices;

use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;

/** What a device sent at once, by our clock. */
final class ReadingBatch
{
    public const MOST = 500;

    /** Later than this by the device's own clock is from tomorrow. */
    private const AHEAD_S = 60.0;

    private const MOST_DAYS = 400;

    /**
     * @param  list<array{id: string, seq: int, at: string, at_s: float, measured: array<string, mixed>}>  $readings  by our clock
     * @param  float|null  $clockOffS  how far its clock is behind ours
     */
    private function __construct(public array $readings, public ?float $clockOffS, public ?float $battery) {}

    /**
     * @param  array<string, mixed>  $valid  as ReadingsRequest lets it through
     *
     * @throws ValidationException with the place of a reading that cannot be used
     */
    public static function of(array $valid, DeviceKind $kind): self
    {
        $now = Carbon::now();
        $clock = isset($valid['device_clock']) ? Carbon::parse($valid['device_clock']) : null;
        $off = $clock === null ? 0.0 : self::seconds($now) - self::seconds($clock);
        $readings = [];
        $needed = $kind->figures()[0];
        foreach (array_values($valid['readings']) as $i => $each) {
            if (! isset($each[$needed])) {
                throw ValidationException::withMessages(["readings.{$i}.{$needed}" => ["A device of this kind sends {$needed}."]]);
            }
            $at = self::seconds(Carbon::parse($each['at'])) + $off;
            if ($at > self::seconds($now) + self::AHEAD_S) {
                throw ValidationException::withMessages(["readings.{$i}.at" => [
                    'This lies ahead of the clock of the device. Send device_clock, what its clock says now, with the readings.',
                ]]);
            }
            if ($at < self::seconds($now) - 86_400 * self::MOST_DAYS) {
                throw ValidationException::withMessages(["readings.{$i}.at" => [
                    'This is more than a year old. Is the clock of the device right?',
                ]]);
            }
            $readings[] = [
                'id' => $each['id'],
                'seq' => (int) $each['seq'],
                'at' => $each['at'],
                'at_s' => round($at, 3),
                'measured' => array_map(
                    fn (mixed $value): mixed => is_numeric($value) ? (float) $value : $value,
                    array_filter(array_intersect_key($each, array_flip($kind->figures())), fn (mixed $value): bool => $value !== null),
                ),
            ];
        }

        return new self($readings, $clock === null ? null : round($off, 3), isset($valid['battery']) ? (float) $valid['battery'] : null);
    }

    private static function seconds(Carbon $at): float
    {
        return (float) $at->getPreciseTimestamp(3) / 1000;
    }
}
