<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Courtside\RepEvent;
use App\Gates\Placement;
use App\Records\Record;
use App\Returns\PlayReturn;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Day;
use Augendo\Core\Load\Side;
use Augendo\Core\Planning\Claim;
use Augendo\Core\Planning\ClaimKind;
use Augendo\Core\Planning\Emphasis;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * One athlete's part of a session: blocks with doses fitted to the day.
 *
 * @property string $id
 * @property string $training_session_id
 * @property string $athlete_id
 * @property string $held_on
 * @property string $ladder
 * @property int $ladder_version
 * @property string $rung
 * @property string $state
 * @property int $version
 * @property bool $edited
 * @property array<array-key, mixed> $trims
 * @property string|null $started_at
 * @property string|null $finished_at
 * @property int|null $minutes
 * @property int|null $session_rpe
 * @property Carbon|null $created_at
 * @property Carbon|null $updated_at
 * @property string|null $return_id
 * @property int|null $return_stage
 * @property string|null $season_id
 * @property array<array-key, mixed>|null $pace
 * @property array<array-key, mixed>|null $focus
 * @property string|null $fitted_on
 * @property bool $stale
 */
final class Sheet extends Record
{
    /** The athlete was taken out, or the session was called off: nothing of it is planned any more. */
    public const CALLED_OFF = 'called_off';

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

    /** A sheet that is not kept yet, of whoever stands there, in a session. */
    public static function planned(TrainingSession $session, Placement $placement): self
    {
        return new self([
            'training_session_id' => $session->id, 'athlete_id' => $placement->athlete_id, 'held_on' => $session->day()->iso(),
            'ladder' => $placement->ladder, 'ladder_version' => $placement->ladder_version, 'rung' => $placement->rung,
            'trims' => [], 'state' => 'planned', 'version' => 0,
        ]);
    }

    /** @return list<SheetNote> why it is what it is */
    public function notes(): array
    {
        return array_map(SheetNote::fromArray(...), array_values($this->trims));
    }

    /** @return list<Tap> everything said of it courtside */
    public function taps(): array
    {
        return $this->events->map(fn (RepEvent $event): Tap => $event->tap())->values()->all();
    }

    /** @return array<string, int> repetitions that were done, by block */
    public function doneByBlock(): array
    {
        return DB::table('work_sets')
            ->where('session', $this->id)
            ->whereNotNull('block_id')
            ->groupBy('block_id')
            ->selectRaw('block_id, sum(reps) as reps')
            ->pluck('reps', 'block_id')
            ->map(fn (mixed $reps): int => (int) $reps)
            ->all();
    }

    /** @return string|null the change of the plan that swapped its work, where it was swapped */
    public function swappedBy(): ?string
    {
        foreach ($this->notes() as $note) {
            if ($note->why === 'swapped') {
                return $note->figures['change'];
            }
        }

        return null;
    }

    /** @return array<string, Side|null> the side asked for, by block: the judged ones; null: the sides in turn */
    public function judgedSides(): array
    {
        return $this->blocks
            ->where('judged', true)
            ->mapWithKeys(fn (SheetBlock $block): array => [
                $block->id => ($block->manner['alternates'] ?? false) ? null : $block->side,
            ])
            ->all();
    }

    /** Whether it has to be fitted: something changed since, or its day has come and it was made ahead of it. */
    public function waits(Day $today): bool
    {
        return $this->state === 'planned' && ! $this->edited && ($this->stale || $this->waitsForItsDay($today));
    }

    /**
     * Those an athlete has on a day or after it that are not over, with their sessions.
     *
     * @return Builder<self>
     */
    public static function plannedFrom(string $athleteId, Day $day): Builder
    {
        return self::query()
            ->with('trainingSession')
            ->where('athlete_id', $athleteId)
            ->where('held_on', '>=', $day->iso())
            ->whereIn('state', ['planned', 'running']);
    }

    /**
     * Those that wait, as waits() says it of one.
     *
     * @param  list<string>  $athleteIds
     * @return Builder<self>
     */
    public static function waiting(array $athleteIds, Day $today): Builder
    {
        return self::query()
            ->whereIn('athlete_id', $athleteIds)
            ->where('state', 'planned')
            ->where('edited', false)
            ->where(fn (Builder $sheets) => $sheets->where('stale', true)->orWhere(
                fn (Builder $ofToday) => $ofToday->where('held_on', $today->iso())->where(
                    fn (Builder $made) => $made->whereNull('fitted_on')->orWhere('fitted_on', '<', $today->iso()),
                ),
            ));
    }

    public function waitsForItsDay(Day $today): bool
    {
        return $this->state === 'planned' && ! $this->edited && $this->day()->equals($today)
            && ($this->fitted_on === null || substr($this->fitted_on, 0, 10) < $today->iso());
    }

    public function isTestDay(): bool
    {
        return ($this->pace['emphasis'] ?? null) === Emphasis::Test->value;
    }

    public function day(): Day
    {
        return Day::of(substr($this->held_on, 0, 10));
    }

    /** What holds the room of its day, beside whatever else is planned. */
    public function claim(): Claim
    {
        return new Claim(
            kind: ClaimKind::ofSession($this->return_stage !== null, $this->trainingSession->extra),
            day: $this->day(),
            startsAt: $this->trainingSession->starts_at,
            session: $this->id,
            title: $this->trainingSession->title,
            isFixed: $this->state !== 'planned' || $this->edited,
        );
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
