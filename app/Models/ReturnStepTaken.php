<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** An action of the engine that a coach accepted, with the evidence as it stood. */
final class ReturnStepTaken extends Record
{
    public $timestamps = false;

    protected $table = 'return_steps';

    protected function casts(): array
    {
        return ['evidence' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'decided_by');
    }
}
