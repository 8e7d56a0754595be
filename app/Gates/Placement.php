<?php

declare(strict_types=1);

namespace App\Gates;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * Where an athlete stands on a ladder; the latest one counts.
 *
 * @property int $id
 * @property string $athlete_id
 * @property string $ladder
 * @property int $ladder_version
 * @property string $rung
 * @property string $entered_on
 * @property string $entered_at
 * @property string|null $decision_id
 * @property string|null $left_on
 * @property bool $placing
 */
final class Placement extends Model
{
    public $timestamps = false;

    protected function casts(): array
    {
        return ['placing' => 'boolean'];
    }

    protected $guarded = [];

    /** @return Builder<self> of ladders nobody has left */
    public static function standing(): Builder
    {
        return self::query()->whereNull('left_on');
    }
}
