<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** What a coach decided about a rung, with the evidence as it stood. */
final class Decision extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return ['evidence' => 'array', 'overridden' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function decider(): BelongsTo
    {
        return $this->belongsTo(User::class, 'decided_by');
    }
}
