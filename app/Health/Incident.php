<?php

declare(strict_types=1);

namespace App\Health;

use App\Athletes\Athlete;
use App\Records\Record;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What happened to somebody: open until everything about it is done.
 *
 * @property string $id
 * @property string $athlete_id
 * @property IncidentKind $kind
 * @property string $at
 * @property string $what
 * @property string|null $report_id
 * @property int|null $opened_by
 * @property string $opened_at
 * @property string|null $closed_at
 * @property int|null $closed_by
 */
final class Incident extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return ['kind' => IncidentKind::class];
    }

    /** @return BelongsTo<Athlete, $this> */
    public function athlete(): BelongsTo
    {
        return $this->belongsTo(Athlete::class);
    }

    /** @return HasMany<IncidentEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(IncidentEntry::class)->orderBy('made_at')->orderBy('id');
    }
}
