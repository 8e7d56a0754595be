<?php

declare(strict_types=1);

namespace App\Models;

use Augendo\Core\Day;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/** One club: its people and their records, closed to every other. */
final class Workspace extends Model
{
    protected $guarded = [];

    /** @return HasMany<Squad, $this> */
    public function squads(): HasMany
    {
        return $this->hasMany(Squad::class);
    }

    /** The day it is where the club trains. */
    public function today(): Day
    {
        return Day::of(Carbon::now($this->timezone)->toDateString());
    }
}
