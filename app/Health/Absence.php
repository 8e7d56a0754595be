<?php

declare(strict_types=1);

namespace App\Health;

use App\Records\Record;
use Augendo\Core\Day;
use Augendo\Core\Limits\DatedLimits;
use Augendo\Core\Readiness\Illness;

/**
 * Days away, or ill.
 *
 * @property string $id
 * @property string $athlete_id
 * @property AbsenceKind $kind
 * @property bool $fever
 * @property string $from_day
 * @property string $until_day
 * @property string|null $ended_on
 * @property string|null $note
 * @property int $entered_by
 * @property string $entered_at
 * @property string|null $withdrawn_at
 */
final class Absence extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return ['kind' => AbsenceKind::class, 'fever' => 'bool'];
    }

    public function from(): Day
    {
        return Day::of(substr($this->from_day, 0, 10));
    }

    /** The last day of it: as somebody said, else as expected; an illness nobody said is over lasts on. */
    public function until(Day $today): Day
    {
        if ($this->ended_on !== null) {
            return Day::of(substr($this->ended_on, 0, 10));
        }
        $expected = Day::of(substr($this->until_day, 0, 10));

        return $this->kind === AbsenceKind::Ill ? $expected->latest($today) : $expected;
    }

    /** @param  Day  $on  the day it is asked about: of a day ahead, as it is expected to go */
    public function illness(Day $today, Day $on): ?Illness
    {
        return $this->kind !== AbsenceKind::Ill ? null : new Illness(
            from: $this->from(),
            until: Day::of(substr($this->until_day, 0, 10))->latest($this->from()),
            fever: $this->fever,
            endedOn: $this->ended_on === null && ! $on->isAfter($today) ? null : $this->until($today),
        );
    }

    /**
     * @param  string  $label  as the places that name a limit say it
     * @return list<DatedLimits> what it does to the days it is about; nothing when it was over before it began
     */
    public function limits(Day $today, string $label, string $source): array
    {
        if ($this->from()->isAfter($this->until($today))) {
            return [];
        }
        $illness = $this->illness($today, $today);
        if ($illness === null) {
            return [DatedLimits::nothing($this->id, $label, $source, $this->from(), $this->until($today))];
        }
        $lasting = new Illness($this->from(), $this->until($today), $this->fever);

        return DatedLimits::ofIllness($lasting, $this->id, $label, $source);
    }
}
