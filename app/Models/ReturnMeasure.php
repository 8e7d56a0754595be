<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** Something measured on both sides, entered with who measured it. */
final class ReturnMeasure extends Record
{
    public $timestamps = false;

    protected $table = 'return_measures';

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'recorded_by');
    }
}
