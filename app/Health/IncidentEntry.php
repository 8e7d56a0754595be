<?php

declare(strict_types=1);

namespace App\Health;

use App\People\User;
use App\Records\Record;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What was done, or who was told: added, never changed.
 *
 * @property string $id
 * @property string $incident_id
 * @property string $kind `done`, `told` or `seen`
 * @property string $at
 * @property string|null $who
 * @property string $text
 * @property int $made_by
 * @property string $made_at
 */
final class IncidentEntry extends Record
{
    public $timestamps = false;

    /** @return BelongsTo<User, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }
}
