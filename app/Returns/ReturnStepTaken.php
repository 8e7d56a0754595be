<?php

declare(strict_types=1);

namespace App\Returns;

use App\People\User;
use App\Records\Record;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * An action of the engine that a coach accepted, with the evidence as it stood.
 *
 * @property string $id
 * @property string $return_id
 * @property string|null $attempt_id
 * @property string $action
 * @property int $from_stage
 * @property int $to_stage
 * @property string|null $not_before
 * @property array<array-key, mixed> $evidence
 * @property int $decided_by
 * @property string $decided_at
 */
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
