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
 * @property bool $from_check_in opened by an answer to “ill today?”
 * @property int|null $entered_by null: by a personal page
 * @property string $entered_at
 * @property string|null $withdrawn_at
 */
final class Absence extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return ['kind' => AbsenceKind::class, 'fever' => 'bool', 'from_check_in' => 'bool'];
    }

    public function from(): Day
    {
        return Day::of(substr($this->from_day, 0, 10));
    }

    /** The last day of it as it is known today. */
    public function until(Day $today): Day
    {
        return $this->illness()?->lastDay($today) ?? Day::of(substr($this->until_day, 0, 10));
    }

    public function illness(): ?Illness
    {
        return $this->kind !== AbsenceKind::Ill ? null : new Illness(
            from: $this->from(),
            until: Day::of(substr($this->until_day, 0, 10)),
            fever: $this->fever,
            endedOn: $this->ended_on === null ? null : Day::of(substr($this->ended_on, 0, 10)),
        );
    }

    /** Whether nobody waits for the athlete on a day: with a cold one comes and does less. */
    public function keepsAway(Day $on, Day $today): bool
    {
        return $this->illness()?->fever !== false && ! $this->from()->isAfter($on) && ! $on->isAfter($this->until($today));
    }

    /**
     * @param  string  $label  as the places that name a limit say it
     * @return list<DatedLimits> what it does to the days it is about
     */
    public function limits(Day $today, string $label, string $source): array
    {
        $illness = $this->illness();

        return $illness === null
            ? [DatedLimits::nothing($this->id, $label, $source, $this->from(), $this->until($today))]
            : DatedLimits::ofIllness($illness, $today, $this->id, $label, $source);
    }
}
