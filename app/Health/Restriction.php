<?php

declare(strict_types=1);

namespace App\Health;

use App\Records\Record;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\Covers;
use Augendo\Core\Limits\DatedLimits;

/**
 * What a clinician allows for some days: nothing until one day, then easier and fewer until another.
 *
 * @property string $id
 * @property string $athlete_id
 * @property Covers $covers
 * @property string $from_day
 * @property string|null $none_until
 * @property string $until_day
 * @property float|null $effort_max
 * @property int|null $reps_a_day
 * @property string $clinician_name
 * @property string|null $note
 * @property int $set_by
 * @property string $set_at
 * @property string|null $lifted_at
 * @property int|null $lifted_by
 */
final class Restriction extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return ['covers' => Covers::class, 'effort_max' => 'float', 'reps_a_day' => 'int'];
    }

    public function from(): Day
    {
        return Day::of(substr($this->from_day, 0, 10));
    }

    public function noneUntil(): ?Day
    {
        return $this->none_until === null ? null : Day::of(substr($this->none_until, 0, 10));
    }

    public function until(): Day
    {
        return Day::of(substr($this->until_day, 0, 10));
    }

    /**
     * @param  string  $none  as the places that name a limit say that there is to be none
     * @param  string  $easier  and what may be done then
     * @return list<DatedLimits>
     */
    public function limits(string $none, string $easier): array
    {
        $skills = $this->covers->skills(app(Library::class)->skills());
        $noneUntil = $this->noneUntil();
        $limits = $noneUntil === null ? [] : [DatedLimits::nothing(
            id: $this->id,
            label: $none,
            source: $this->clinician_name,
            from: $this->from(),
            until: $noneUntil,
            skills: $skills,
        )];
        $then = $noneUntil?->plus(1) ?? $this->from();
        if ($then->isAfter($this->until())) {
            return $limits;
        }
        $limits[] = DatedLimits::easier(
            id: "{$this->id}:then",
            label: $easier,
            source: $this->clinician_name,
            from: $then,
            until: $this->until(),
            effortMax: $this->effort_max,
            repsADay: $this->reps_a_day,
            skills: $skills,
        );

        return $limits;
    }
}
