<?php

declare(strict_types=1);

namespace App\Returns;

use App\People\User;
use App\Records\Record;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One go at a stage, taken from the session it was part of.
 *
 * @property string $id
 * @property string $return_id
 * @property string|null $sheet_id
 * @property string $day
 * @property int $stage
 * @property bool $completed
 * @property int $during
 * @property bool $eased
 * @property bool $joint_sore
 * @property bool $red_flag
 * @property int|null $morning_entered
 * @property int $recorded_by
 * @property string $recorded_at
 */
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
