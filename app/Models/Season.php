<?php

declare(strict_types=1);

namespace App\Models;

use Augendo\Core\Day;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** One athlete's weeks ahead on a ladder: what was asked for, and what was agreed to. */
final class Season extends Record
{
    protected $attributes = ['waiting' => false];

    protected function casts(): array
    {
        return [
            'weekdays' => 'array',
            'moves' => 'array',
            'off' => 'array',
            'agreed' => 'array',
            'minutes' => 'integer',
            'version' => 'integer',
            'waiting' => 'boolean',
        ];
    }

    public function startsOn(): Day
    {
        return Day::of(substr($this->starts_on, 0, 10));
    }

    public function goalOn(): Day
    {
        return Day::of(substr($this->goal_on, 0, 10));
    }

    /** @return BelongsTo<Athlete, $this> */
    public function athlete(): BelongsTo
    {
        return $this->belongsTo(Athlete::class);
    }

    /** @return BelongsTo<Squad, $this> */
    public function squad(): BelongsTo
    {
        return $this->belongsTo(Squad::class);
    }
}
