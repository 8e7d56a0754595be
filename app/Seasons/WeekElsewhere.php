<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Records\Record;

/**
 * What somebody said of one week of an athlete elsewhere.
 *
 * @property string $id
 * @property string $athlete_id
 * @property string $week its Monday
 * @property 'usual'|'other'|'nothing' $answer
 * @property int|null $told_by null: on the personal page
 * @property string $told_at
 */
final class WeekElsewhere extends Record
{
    public const ANSWERS = ['usual', 'other', 'nothing'];

    protected $table = 'weeks_elsewhere';

    public $timestamps = false;
}
