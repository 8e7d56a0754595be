<?php

declare(strict_types=1);

namespace App\Returns;

use App\People\User;
use App\Records\Record;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something measured on both sides, entered with who measured it.
 *
 * @property string $id
 * @property string $return_id
 * @property string $criterion
 * @property float $injured
 * @property float $sound
 * @property string $measured_by
 * @property string $measured_on
 * @property int $recorded_by
 * @property string $recorded_at
 */
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
