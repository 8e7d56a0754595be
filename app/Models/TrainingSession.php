<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/** A squad's meeting on one day; each athlete has a sheet in it. */
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
