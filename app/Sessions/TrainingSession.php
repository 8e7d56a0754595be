<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Squad;
use App\Records\Record;
use Augendo\Core\Day;
use Augendo\Core\Planning\SessionLife;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * A squad's meeting on one day; each athlete has a sheet in it.
 *
 * @property string $id
 * @property int $squad_id
 * @property string $held_on
 * @property string $starts_at
 * @property string $title
 * @property Carbon|null $created_at
 * @property Carbon|null $updated_at
 * @property array<array-key, mixed>|null $stations
 * @property int|null $minutes
 * @property array<array-key, mixed>|null $objects
 * @property int $version
 * @property string|null $floor
 * @property string|null $series_id
 * @property bool $own
 * @property SessionState $state
 * @property string|null $reason
 * @property string|null $first_on
 * @property string|null $place
 * @property list<string>|null $ladders
 * @property bool $has_sheets
 * @property bool $extra
 * @property bool $entered_late
 */
final class TrainingSession extends Record
{
    protected $attributes = [
        'state' => 'planned', 'own' => false, 'extra' => false, 'entered_late' => false, 'has_sheets' => true,
        'series_id' => null, 'version' => 1,
    ];

    protected function casts(): array
    {
        return [
            'stations' => 'array', 'objects' => 'array', 'ladders' => 'array', 'minutes' => 'integer', 'version' => 'integer',
            'own' => 'boolean', 'has_sheets' => 'boolean', 'extra' => 'boolean', 'entered_late' => 'boolean',
            'state' => SessionState::class,
        ];
    }

    public function day(): Day
    {
        return Day::of(substr($this->held_on, 0, 10));
    }

    public function isOff(): bool
    {
        return $this->state !== SessionState::Planned;
    }

    public function life(): SessionLife
    {
        return new SessionLife($this->day(), $this->isOff(), $this->isCounted());
    }

    /** Whether somebody counted in it, or closed a sheet of it. */
    public function isCounted(): bool
    {
        return $this->sheets()->whereIn('state', ['running', 'finished'])->exists()
            || DB::table('rep_events')->whereIn('sheet_id', $this->sheets()->select('id'))->exists();
    }

    /** @return Builder<self> those of a squad that take place */
    public static function standing(int $squadId): Builder
    {
        return self::query()->where('squad_id', $squadId)->where('state', SessionState::Planned->value);
    }

    /**
     * The session of a day in which one athlete has work of their own on a ladder: the squad's, when it works on it; else an extra one.
     *
     * @param  string  $startsAt  of the extra one, HH:MM
     */
    public static function ofDay(int $squadId, Day $day, string $ladder, string $startsAt, string $title): self
    {
        $there = self::standing($squadId)->where('held_on', $day->iso())->orderBy('starts_at')->get();

        return $there->first(fn (self $each): bool => $each->extra || $each->ladders === null || in_array($ladder, $each->ladders, true))
            ?? self::query()->create([
                'squad_id' => $squadId, 'held_on' => $day->iso(), 'starts_at' => $startsAt, 'title' => $title, 'extra' => true,
            ]);
    }

    /** Minutes of one sheet: two skills of one athlete share those of the session. */
    public function minutesOf(int $sheets): ?int
    {
        return $this->minutes === null ? null : intdiv($this->minutes, max(1, $sheets));
    }

    /** @return BelongsTo<Squad, $this> */
    public function squad(): BelongsTo
    {
        return $this->belongsTo(Squad::class);
    }

    /** @return HasMany<Sheet, $this> those called off with them */
    public function sheets(): HasMany
    {
        return $this->hasMany(Sheet::class);
    }
}
