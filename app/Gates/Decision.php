<?php

declare(strict_types=1);

namespace App\Gates;

use App\People\User;
use App\Records\Record;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a coach decided about a rung, with the evidence as it stood.
 *
 * @property string $id
 * @property string $athlete_id
 * @property string $ladder
 * @property int $ladder_version
 * @property string $rung
 * @property string $action
 * @property string $to_rung
 * @property array<array-key, mixed> $evidence
 * @property array<array-key, mixed> $overridden
 * @property string|null $reason
 * @property string $day
 * @property int $decided_by
 * @property string $decided_at
 */
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
