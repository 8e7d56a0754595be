<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/** Where an athlete stands on a ladder; the latest one counts. */
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
