<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Records\Record;
use Augendo\Core\Day;
use Augendo\Core\Planning\Heeded;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One athlete's weeks ahead on a ladder: what was asked for, and what was agreed to.
 *
 * @property string $id
 * @property string $athlete_id
 * @property int $squad_id
 * @property string $ladder
 * @property string|null $goal_rung
 * @property string $starts_on
 * @property string $goal_on
 * @property array<array-key, mixed> $weekdays
 * @property array<array-key, mixed> $moves
 * @property array<array-key, mixed> $off
 * @property int|null $minutes
 * @property array<array-key, mixed> $agreed
 * @property string $agreed_at
 * @property string $state
 * @property int $version
 * @property int $created_by
 * @property Carbon|null $created_at
 * @property Carbon|null $updated_at
 * @property bool $waiting
 * @property string|null $followed_on
 * @property int $place  of it in the coach's order of the athlete's seasons
 * @property list<int>|null $leads  days of a fortnight it may be heavy on, see core Planning\Together; null: any
 * @property bool $evenly  whether the athlete's seasons share the room evenly, not in order
 * @property bool $tests  whether it has test days
 * @property array{units?: float|null, reps?: int|null, effort_less?: float, left?: list<string>}|null $heeded
 */
final class Season extends Record
{
    protected $attributes = [
        'waiting' => false, 'followed_on' => null, 'heeded' => null, 'place' => 0, 'leads' => null, 'evenly' => false,
        'tests' => false,
    ];

    protected function casts(): array
    {
        return [
            'weekdays' => 'array',
            'moves' => 'array',
            'off' => 'array',
            'agreed' => 'array',
            'heeded' => 'array',
            'minutes' => 'integer',
            'version' => 'integer',
            'waiting' => 'boolean',
            'place' => 'integer',
            'leads' => 'array',
            'evenly' => 'boolean',
            'tests' => 'boolean',
        ];
    }

    /** @return Builder<self> */
    public static function openOf(Athlete $athlete): Builder
    {
        return self::query()->where('athlete_id', $athlete->id)->where('state', 'open');
    }

    public function heeded(): Heeded
    {
        return new Heeded(
            units: isset($this->heeded['units']) ? (float) $this->heeded['units'] : null,
            reps: $this->heeded['reps'] ?? null,
            effortLess: (float) ($this->heeded['effort_less'] ?? 0.0),
        );
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
