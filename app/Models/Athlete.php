<?php

declare(strict_types=1);

namespace App\Models;

use Augendo\Core\Day;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Load\Skill;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;

final class Athlete extends Record
{
    protected function casts(): array
    {
        return ['throwing_side' => Handedness::class];
    }

    /** The side that ladder text is written for: the one that throws or serves, or the one that is turned to. */
    public function sideFor(Skill $skill): Handedness
    {
        return $skill->turns && $this->turn_direction !== null ? Handedness::from($this->turn_direction) : $this->throwing_side;
    }

    /** Says that something about the athlete changed. Call it in the transaction that changed it. */
    public static function raiseRevision(string $id): void
    {
        self::query()->whereKey($id)->increment('revision');
    }

    public function name(): string
    {
        return "{$this->given_name} {$this->family_name}";
    }

    public function ageOn(Day $day): ?int
    {
        return $this->birth_date === null ? null : $day->ageOf(Day::of(substr($this->birth_date, 0, 10)));
    }

    /** @return BelongsTo<Workspace, $this> */
    public function workspace(): BelongsTo
    {
        return $this->belongsTo(Workspace::class);
    }

    /** @return BelongsToMany<Squad, $this> */
    public function squads(): BelongsToMany
    {
        return $this->belongsToMany(Squad::class);
    }

    /** @return HasMany<Sheet, $this> */
    public function sheets(): HasMany
    {
        return $this->hasMany(Sheet::class);
    }
}
