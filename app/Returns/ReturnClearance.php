<?php

declare(strict_types=1);

namespace App\Returns;

use App\People\User;
use App\Records\Record;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A clinician's recorded permission to go on, through a stage or for all of them.
 *
 * @property string $id
 * @property string $return_id
 * @property int|null $through_stage
 * @property string $clinician_name
 * @property string $clinician_role
 * @property string $document_date
 * @property string|null $note
 * @property int $recorded_by
 * @property string $recorded_at
 */
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
