<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Records\Record;
use Augendo\Core\Day;
use Augendo\Core\Load\Felt;
use Augendo\Core\Load\Skill;
use Augendo\Core\Planning\Claim;
use Augendo\Core\Planning\ClaimKind;
use Augendo\Core\Planning\MatchDose;
use Augendo\Core\Planning\MatchEvent;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * A day fixed beside the sessions: a match, training at another club, or strength, bands and sprints, with the work it is expected to cost.
 *
 * @property string $id
 * @property int|null $squad_id
 * @property string|null $athlete_id
 * @property string $kind
 * @property string $held_on
 * @property string $starts_at
 * @property string $title
 * @property array<array-key, mixed> $doses
 * @property bool $lined_up whether somebody has said who plays
 * @property int|null $line_ups_count
 * @property int $created_by
 * @property string|null $declared_on the club's day on which somebody declared it
 * @property Carbon|null $created_at
 * @property Carbon|null $updated_at
 */
final class Fixture extends Record
{
    public const MATCH = 'match';

    public const ELSEWHERE = 'elsewhere';

    public const BESIDE = 'beside';

    public const KINDS = [self::MATCH, self::ELSEWHERE, self::BESIDE];

    /** Where work of a kind was done, as the record has it. */
    public const SOURCES = [self::MATCH => 'match', self::ELSEWHERE => 'other club', self::BESIDE => 'beside'];

    protected function casts(): array
    {
        return ['doses' => 'array', 'lined_up' => 'bool'];
    }

    /**
     * Those that concern any of these athletes: their own, those they play in, and those of a squad of theirs that name nobody.
     *
     * @param  list<string>|\Illuminate\Contracts\Database\Query\Builder  $athleteIds  ids, or a query for them
     * @return Builder<Fixture>
     */
    public static function concerning($athleteIds): Builder
    {
        $squads = DB::table('athlete_squad')->whereIn('athlete_id', $athleteIds)->select('squad_id');

        return self::query()->where(fn (Builder $query) => $query
            ->whereIn('athlete_id', $athleteIds)
            ->orWhere(
                fn (Builder $named) => $named->whereNull('athlete_id')->where('lined_up', false)->whereIn('squad_id', $squads),
            )
            ->orWhereIn('id', LineUp::query()->whereIn('athlete_id', $athleteIds)->select('fixture_id')));
    }

    /** @return HasMany<LineUp, $this> */
    public function lineUps(): HasMany
    {
        return $this->hasMany(LineUp::class);
    }

    /** @return list<string>|null ids of who plays; null: nobody has said */
    public function players(): ?array
    {
        return $this->lined_up ? $this->lineUps->pluck('athlete_id')->values()->all() : null;
    }

    public function day(): Day
    {
        return Day::of(substr($this->held_on, 0, 10));
    }

    /** Declared when it was over, it loosens nothing: no rest day and no row of days is taken more lightly for it. */
    public function wasDeclaredInTime(): bool
    {
        return MatchEvent::isDeclaredInTime($this->day(), Day::of(substr($this->declared_on ?? $this->held_on, 0, 10)));
    }

    public function source(): string
    {
        return self::SOURCES[$this->kind];
    }

    /** Training elsewhere, and strength, are held whatever is planned here; a match gives way to a way back. */
    public function claim(): Claim
    {
        return new Claim(
            kind: ClaimKind::Match,
            day: $this->day(),
            startsAt: $this->starts_at,
            session: MatchEvent::session($this->id),
            title: $this->title,
            isFixed: $this->kind !== self::MATCH,
        );
    }

    /**
     * @param  array<string, Skill>  $skills by id
     * @param  string|null  $athleteId  of whom it is expected; null: of anybody
     */
    public function event(array $skills, ?string $athleteId = null): MatchEvent
    {
        $player = $athleteId === null || ! $this->lined_up ? null : $this->lineUps->firstWhere('athlete_id', $athleteId);
        $doses = $player->doses ?? $this->doses;

        return new MatchEvent($this->id, $this->day(), $this->title, array_map(fn (array $dose): MatchDose => new MatchDose(
            $skills[$dose['skill']], (int) $dose['reps'], $dose['felt'] === null ? null : Felt::from($dose['felt'])->effort(),
        ), $doses));
    }
}
