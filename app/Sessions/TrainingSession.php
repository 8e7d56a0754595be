<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Squad;
use App\Records\Record;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A squad's meeting on one day; each athlete has a sheet in it.
 *
 * @property string $id
 * @property int $squad_id
 * @property string $held_on
 * @property string $starts_at
 * @property string $title
 * @property Carbon|null $created_at
 * @property Carbon|null $updated_at
 * @property array<array-key, mixed>|null $stations
 * @property int|null $minutes
 * @property array<array-key, mixed>|null $objects
 * @property int $version
 * @property string|null $floor
 */
final class TrainingSession extends Record
{
    protected function casts(): array
    {
        return ['stations' => 'array', 'objects' => 'array', 'minutes' => 'integer', 'version' => 'integer'];
    }

    /** @return BelongsTo<Squad, $this> */
    public function squad(): BelongsTo
    {
        return $this->belongsTo(Squad::class);
    }

    /** @return HasMany<Sheet, $this> */
    public function sheets(): HasMany
    {
        return $this->hasMany(Sheet::class);
    }
}
