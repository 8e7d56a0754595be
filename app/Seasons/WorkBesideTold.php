<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Records\Record;

/**
 * What somebody said of one planned piece of work beside the skill.
 *
 * @property string $id
 * @property string $fixture_id
 * @property string $athlete_id
 * @property bool $done
 * @property int|null $told_by null: on the personal page
 * @property string $told_at
 */
final class WorkBesideTold extends Record
{
    protected $table = 'work_beside';

    public $timestamps = false;

    protected function casts(): array
    {
        return ['done' => 'bool'];
    }
}
