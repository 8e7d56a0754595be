<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** A clinician's recorded permission to go on, through a stage or for all of them. */
final class ReturnClearance extends Record
{
    public $timestamps = false;

    protected $table = 'return_clearances';

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'recorded_by');
    }
}
