<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** One go at a stage, taken from the session it was part of. */
final class ReturnAttempt extends Record
{
    public $timestamps = false;

    protected $table = 'return_attempts';

    protected function casts(): array
    {
        return ['completed' => 'boolean', 'eased' => 'boolean', 'joint_sore' => 'boolean', 'red_flag' => 'boolean'];
    }

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'recorded_by');
    }
}
