<?php

declare(strict_types=1);

namespace App\Models;

use Augendo\Core\Day;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/** One athlete's part of a session: blocks with doses fitted to the day. */
final class Sheet extends Record
{
    protected $attributes = ['edited' => false, 'stale' => false, 'return_stage' => null, 'pace' => null];

    protected function casts(): array
    {
        return [
            'trims' => 'array',
            'pace' => 'array',
            'focus' => 'array',
            'edited' => 'boolean',
            'stale' => 'boolean',
            'version' => 'integer',
        ];
    }

    public function day(): Day
    {
        return Day::of(substr($this->held_on, 0, 10));
    }

    /** @return BelongsTo<Athlete, $this> */
    public function athlete(): BelongsTo
    {
        return $this->belongsTo(Athlete::class);
    }

    /** @return BelongsTo<TrainingSession, $this> */
    public function trainingSession(): BelongsTo
    {
        return $this->belongsTo(TrainingSession::class);
    }

    /** @return BelongsTo<PlayReturn, $this> the return whose stage this sheet is, if any */
    public function playReturn(): BelongsTo
    {
        return $this->belongsTo(PlayReturn::class, 'return_id');
    }

    /** @return HasMany<SheetBlock, $this> */
    public function blocks(): HasMany
    {
        return $this->hasMany(SheetBlock::class)->orderBy('position');
    }

    /** @return HasMany<RepEvent, $this> in order of time, then as the device counted them */
    public function events(): HasMany
    {
        return $this->hasMany(RepEvent::class)->orderBy('id');
    }
}
