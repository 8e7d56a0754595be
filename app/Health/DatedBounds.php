<?php

declare(strict_types=1);

namespace App\Health;

use App\Athletes\Athlete;
use App\People\Workspace;
use App\Wording\AwayWording;
use Augendo\Core\Day;
use Augendo\Core\Limits\DatedLimits;
use Augendo\Core\Readiness\Illness;
use Illuminate\Database\Eloquent\Builder;

/** Who is away or ill, and whom a clinician restricts: what binds single days of several athletes. */
final class DatedBounds
{
    /** @var array<string, list<Absence>> by athlete id, by day */
    private array $absences = [];

    /** @var array<string, list<Restriction>> by athlete id, by day */
    private array $restrictions = [];

    /** @var array<string, int> open ones, by athlete id */
    private array $incidents;

    /** The day it is looked at from: of a day ahead it is not known yet whether an illness will have ended as expected. */
    private readonly Day $today;

    /**
     * @param  list<string>  $ids  of athletes
     * @param  Day|null  $now  the club's today; null: the day itself
     */
    public function __construct(array $ids, private readonly Day $on, ?Day $now = null)
    {
        $this->today = $now !== null && $on->isAfter($now) ? $now : $on;
        $today = $this->today;
        $since = $today->plus(-Illness::WAY_BACK_MOST_DAYS)->iso();
        $absences = Absence::query()
            ->whereIn('athlete_id', $ids)
            ->whereNull('withdrawn_at')
            ->where(fn (Builder $query) => $query->where('until_day', '>=', $since)->orWhere('ended_on', '>=', $since)
                ->orWhere(fn (Builder $ill) => $ill->where('kind', AbsenceKind::Ill)->whereNull('ended_on')))
            ->orderBy('from_day')
            ->orderBy('id')
            ->get();
        foreach ($absences as $absence) {
            $this->absences[$absence->athlete_id][] = $absence;
        }
        $restrictions = Restriction::query()
            ->whereIn('athlete_id', $ids)
            ->whereNull('lifted_at')
            ->where('until_day', '>=', $today->iso())
            ->orderBy('from_day')
            ->orderBy('id')
            ->get();
        foreach ($restrictions as $restriction) {
            $this->restrictions[$restriction->athlete_id][] = $restriction;
        }
        $open = Incident::query()->whereIn('athlete_id', $ids)->whereNull('closed_at');
        $this->incidents = $open->pluck('athlete_id')->countBy()->all();
    }

    /** @param  list<Athlete>  $athletes  of one club */
    public static function of(array $athletes, Day $on): self
    {
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, $athletes);

        return new self($ids, $on, Workspace::todayOf($athletes));
    }

    /** How much that happened is not closed yet. */
    public function openIncidents(string $athleteId): int
    {
        return $this->incidents[$athleteId] ?? 0;
    }

    /** @return list<DatedLimits> */
    public function limits(string $athleteId): array
    {
        $limits = [];
        foreach ($this->absences[$athleteId] ?? [] as $absence) {
            $limits = [...$limits, ...$absence->limits($this->today, AwayWording::label($absence, $this->today), AwayWording::SOURCE)];
        }
        foreach ($this->restrictions[$athleteId] ?? [] as $restriction) {
            $limits = [...$limits, ...$restriction->limits(AwayWording::none($restriction), AwayWording::easier($restriction))];
        }

        return $limits;
    }

    /** @return list<Illness> of a day ahead as they are expected to go */
    public function illnesses(string $athleteId): array
    {
        $ill = array_filter(array_map(fn (Absence $absence): ?Illness => $absence->illness(), $this->absences[$athleteId] ?? []));
        $isAhead = $this->on->isAfter($this->today);

        return array_values(array_map(fn (Illness $each): Illness => $isAhead ? $each->asExpected($this->today) : $each, $ill));
    }

    /** Who is not there on a day, or too ill for anything. */
    public function away(string $athleteId, Day $on): ?Absence
    {
        foreach ($this->absences[$athleteId] ?? [] as $absence) {
            if ($absence->keepsAway($on, $this->today)) {
                return $absence;
            }
        }

        return null;
    }

    /** @return list<Restriction> that bind on one of these days, by day */
    public function restrictions(string $athleteId, Day $from, Day $to): array
    {
        return array_values(array_filter(
            $this->restrictions[$athleteId] ?? [],
            fn (Restriction $each): bool => ! $each->from()->isAfter($to) && ! $from->isAfter($each->until()),
        ));
    }

    /** @return list<int> ordinals of days from one to another on which nothing at all may be done */
    public function daysOff(string $athleteId, Day $from, Day $to): array
    {
        $off = [];
        foreach ($this->limits($athleteId) as $limits) {
            if ($limits->isAll()) {
                $first = $limits->from->latest($from)->ordinal;
                $last = min($limits->until->ordinal, $to->ordinal);
                $off = [...$off, ...$first <= $last ? range($first, $last) : []];
            }
        }

        return array_values(array_unique($off));
    }
}
