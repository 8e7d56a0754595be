<?php

declare(strict_types=1);

namespace App\Returns;

use App\Athletes\Athlete;
use App\Records\Record;
use Augendo\Core\Cases\Node;
use Augendo\Core\Day;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Side;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Returning\Programme;
use Augendo\Core\Returning\ProgrammeReader;
use Augendo\Core\Returning\ProgrammeStage;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * An athlete's way back on a programme, which is kept as it stood on the day it was opened.
 *
 * @property string $id
 * @property string $athlete_id
 * @property string $programme
 * @property int $programme_version
 * @property string $definition
 * @property string $ladder
 * @property Site $site
 * @property string|null $side
 * @property int $stage
 * @property string|null $not_before
 * @property string $state
 * @property float $usual_week
 * @property string $opened_on
 * @property int $opened_by
 * @property string|null $ended_on
 * @property string|null $end_reason
 * @property Carbon|null $created_at
 * @property Carbon|null $updated_at
 */
final class PlayReturn extends Record
{
    protected $table = 'returns';

    protected $attributes = ['stage' => 0];

    private ?Programme $read = null;

    protected function casts(): array
    {
        return ['stage' => 'integer', 'usual_week' => 'float', 'site' => Site::class];
    }

    public function programmeAsOpened(): Programme
    {
        return $this->read ??= ProgrammeReader::read(Node::parse($this->definition));
    }

    public function stageAtHand(): ProgrammeStage
    {
        return $this->programmeAsOpened()->stages[$this->stage];
    }

    /** The side of the work that is on its way back. Landings are done with both legs unless a stage says otherwise. */
    public function workingSide(Athlete $athlete): Side
    {
        return $this->side === null
            || $this->side === $athlete->throwing_side->value
            || $this->programmeAsOpened()->channel === Channel::Landing
            ? Side::Dominant
            : Side::Other;
    }

    public function notBefore(): ?Day
    {
        return $this->not_before === null ? null : Day::of(substr($this->not_before, 0, 10));
    }

    /** @return BelongsTo<Athlete, $this> */
    public function athlete(): BelongsTo
    {
        return $this->belongsTo(Athlete::class);
    }

    /** @return HasMany<ReturnAttempt, $this> */
    public function attempts(): HasMany
    {
        return $this->hasMany(ReturnAttempt::class, 'return_id')->orderBy('day')->orderBy('recorded_at');
    }

    /** @return HasMany<ReturnClearance, $this> */
    public function clearances(): HasMany
    {
        return $this->hasMany(ReturnClearance::class, 'return_id')->orderBy('document_date');
    }

    /** @return HasMany<ReturnStepTaken, $this> */
    public function steps(): HasMany
    {
        return $this->hasMany(ReturnStepTaken::class, 'return_id')->orderBy('decided_at');
    }

    /** @return HasMany<ReturnMeasure, $this> */
    public function measures(): HasMany
    {
        return $this->hasMany(ReturnMeasure::class, 'return_id')->orderBy('measured_on');
    }
}
