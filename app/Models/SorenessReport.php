<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

final class SorenessReport extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return ['refers' => 'boolean'];
    }

    /** @return BelongsTo<Athlete, $this> */
    public function athlete(): BelongsTo
    {
        return $this->belongsTo(Athlete::class);
    }
}
