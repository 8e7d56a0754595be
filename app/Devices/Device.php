<?php

declare(strict_types=1);

namespace App\Devices;

use App\Records\Record;
use Illuminate\Support\Carbon;

/**
 * What measures or counts for a club. Its token is kept only as its hash, and shown once, when the device is added.
 *
 * @property string $id
 * @property int $workspace_id
 * @property string $name
 * @property DeviceKind $kind
 * @property string $token_hash
 * @property Carbon|null $revoked_at
 * @property Carbon|null $heard_at
 * @property float|null $battery
 * @property float|null $clock_off_s how far its clock is behind ours
 */
final class Device extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return [
            'kind' => DeviceKind::class, 'made_at' => 'datetime', 'revoked_at' => 'datetime', 'heard_at' => 'datetime',
            'battery' => 'float', 'clock_off_s' => 'float',
        ];
    }

    public static function withToken(string $token): ?self
    {
        return $token === '' ? null : self::query()
            ->where('token_hash', hash('sha256', $token))
            ->whereNull('revoked_at')
            ->first();
    }
}
