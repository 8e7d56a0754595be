<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Records\Record;

/**
 * Who went home with whom.
 *
 * @property string $id
 * @property string $training_session_id
 * @property string $athlete_id
 * @property string $day
 * @property string $collected_by
 * @property bool $on_list whether the guardian had named them then
 * @property int $noted_by
 */
final class PickedUp extends Record
{
    protected $table = 'pick_ups';

    protected function casts(): array
    {
        return ['on_list' => 'boolean'];
    }
}
