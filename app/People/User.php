<?php

declare(strict_types=1);

namespace App\People;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Http\Problem;
use App\Http\ProblemType;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * @property int $id
 * @property int $workspace_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property Role $role
 * @property string|null $closed_at
 * @property string|null $remember_token
 * @property Carbon|null $created_at
 * @property Carbon|null $updated_at
 * @property float $pace_m
 * @property int|null $invited_by
 * @property Carbon|null $confirmed_at
 * @property int|null $confirmed_by
 * @property string|null $code
 */
final class User extends Authenticatable
{
    protected $guarded = [];

    protected $hidden = ['password', 'remember_token', 'code'];

    protected $attributes = ['confirmed_at' => null, 'confirmed_by' => null, 'code' => null, 'invited_by' => null, 'closed_at' => null];

    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class, 'confirmed_at' => 'datetime'];
    }

    /** A clinician counts once the head coach has confirmed the person, face to face. */
    public function mayClear(): bool
    {
        return $this->role->clears() && ($this->role !== Role::Clinician || $this->confirmed_at !== null);
    }

    /** Whose something on a device is: nobody else of any club has the same. */
    public function key(): string
    {
        return "{$this->workspace_id}-{$this->id}";
    }

    /** @return BelongsTo<Workspace, $this> */
    public function workspace(): BelongsTo
    {
        return $this->belongsTo(Workspace::class);
    }

    /** @return BelongsToMany<Squad, $this> squads a coach or assistant works with; a coach without any looks after the whole club */
    public function squads(): BelongsToMany
    {
        return $this->belongsToMany(Squad::class);
    }

    /** @return BelongsToMany<Athlete, $this> the athletes shared with a clinician, in a guardian's care, or the athlete themself */
    public function boundAthletes(): BelongsToMany
    {
        return $this->belongsToMany(Athlete::class);
    }

    private function seesWholeClub(): bool
    {
        return $this->role === Role::Coach && ! $this->squads()->exists();
    }

    /** @return Builder<Squad> in order */
    public function visibleSquads(): Builder
    {
        $squads = Squad::query()->where('workspace_id', $this->workspace_id)->whereNull('archived_on')->orderBy('id');

        return match (true) {
            $this->seesWholeClub() => $squads,
            $this->role->seesSquads() => $squads->whereIn('id', $this->squads()->select('squads.id')),
            default => $squads->whereIn(
                'id',
                DB::table('athlete_squad')->whereIn('athlete_id', $this->boundAthletes()->select('athletes.id'))->select('squad_id'),
            ),
        };
    }

    /**
     * The squad asked for, else the first.
     *
     * @throws Problem when there is none yet
     */
    public function squadOrFirst(?int $id): Squad
    {
        return $id === null
            ? $this->visibleSquads()->first() ?? throw new Problem(
                ProblemType::NoSquadYet,
                $this->role->decides() ? 'Start here: name your squad.' : 'Nobody is shared with you yet. Ask the coach.',
            )
            : $this->visibleSquads()->findOrFail($id);
    }

    /** @return Builder<Athlete> */
    public function visibleAthletes(): Builder
    {
        $athletes = Athlete::query()->where('workspace_id', $this->workspace_id)->whereNull('erased_at');

        return match (true) {
            $this->seesWholeClub() => $athletes,
            $this->role->seesSquads() => $athletes->whereIn(
                'id',
                DB::table('athlete_squad')->whereIn('squad_id', $this->squads()->select('squads.id'))->select('athlete_id'),
            ),
            default => $athletes->whereIn('id', $this->boundAthletes()->select('athletes.id')),
        };
    }

    /** Somebody of the same club. */
    public function colleague(int $id): self
    {
        return self::query()->where('workspace_id', $this->workspace_id)->findOrFail($id);
    }

    /** @return BelongsToMany<Athlete, Squad> those of a squad that this person sees, in running order */
    public function athletesOf(Squad $squad): BelongsToMany
    {
        return $squad->athletes()->whereIn('athletes.id', $this->visibleAthletes()->select('athletes.id'));
    }
}
