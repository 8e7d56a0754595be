<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Health\Absence;
use App\Health\Incident;
use App\Health\Restriction;
use App\People\User;
use App\People\Workspace;
use App\Records\Record;
use App\Sessions\Sheet;
use Augendo\Core\Day;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Load\Skill;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * @property string $id
 * @property int $workspace_id
 * @property string $given_name
 * @property string $family_name
 * @property string|null $birth_date
 * @property Handedness $throwing_side
 * @property string|null $turn_direction
 * @property int $revision
 * @property Carbon|null $created_at
 * @property Carbon|null $updated_at
 * @property string|null $erased_at
 * @property string|null $retired_on
 * @property bool $shows_scores  to squad-mates who show theirs
 */
final class Athlete extends Record
{
    protected function casts(): array
    {
        return ['throwing_side' => Handedness::class, 'shows_scores' => 'boolean'];
    }

    /** The side that ladder text is written for: the one that throws or serves, or the one that is turned to. */
    public function sideFor(Skill $skill): Handedness
    {
        return $skill->turns && $this->turn_direction !== null ? Handedness::from($this->turn_direction) : $this->throwing_side;
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

    /** @return BelongsToMany<User, $this> who sees the athlete without working with the squad */
    public function users(): BelongsToMany
    {
        return $this->belongsToMany(User::class)->withPivot('agreed_by', 'agreed_on');
    }

    /** @return BelongsToMany<Squad, $this> of somebody who has retired: those left then, by whose rules the record is read */
    public function squads(): BelongsToMany
    {
        return $this->belongsToMany(Squad::class);
    }

    /** @return HasMany<Absence, $this> */
    public function absences(): HasMany
    {
        return $this->hasMany(Absence::class);
    }

    /** @return HasMany<Restriction, $this> */
    public function restrictions(): HasMany
    {
        return $this->hasMany(Restriction::class);
    }

    /** @return HasMany<Incident, $this> */
    public function incidents(): HasMany
    {
        return $this->hasMany(Incident::class);
    }

    /** @return HasMany<Sheet, $this> */
    public function sheets(): HasMany
    {
        return $this->hasMany(Sheet::class);
    }
}
