<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Health\Absence;
use Augendo\Core\Day;
use Augendo\Core\Limits\RestLimit;
use Augendo\Core\Planning\CountedMatches;
use Augendo\Core\Planning\MatchEvent;
use Augendo\Core\Planning\WeeklyDays;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** The fixtures of many athletes, their squads' and their own, fetched at once. */
final class Fixtures
{
    /** @var array<string, list<Fixture>> by athlete, in order of day and hour */
    private array $fixtures = [];

    /** @var array<string, true> athlete and fixture of which work was recorded already */
    private array $played = [];

    /** @var array<string, true> athlete and Monday of weeks elsewhere, athlete and fixture of work beside, that somebody told */
    private array $told = [];

    /** @var array<string, list<Absence>> by athlete: begun before the day, where anything of those days is asked for */
    private array $absences = [];

    /** @param  list<string>  $athleteIds */
    public function __construct(array $athleteIds, private readonly Day $on)
    {
        $squads = DB::table('athlete_squad')->whereIn('athlete_id', $athleteIds)->get()->groupBy('athlete_id');
        /** @var Collection<int, Fixture> $all */
        $all = Fixture::concerning($athleteIds)
            ->where('held_on', '>=', $on->plus(-RestLimit::LOOK_BACK_DAYS)->iso())
            ->orderBy('held_on')
            ->orderBy('starts_at')
            ->get();
        $all->where('lined_up', true)->load('lineUps');
        foreach ($athleteIds as $id) {
            $own = ($squads[$id] ?? collect())->pluck('squad_id')->all();
            $this->fixtures[$id] = $all->filter(
                fn (Fixture $each): bool => MatchEvent::concerns($each->athlete_id, $each->squad_id, $id, $own, $each->players()),
            )->values()->all();
        }
        $sessions = [];
        foreach (
            DB::table('work_sets')
                ->whereIn('athlete_id', $athleteIds)
                ->where('day', '>=', $on->plus(-RestLimit::LOOK_BACK_DAYS)->iso())
                ->whereIn('source', array_values(Fixture::SOURCES))
                ->get(['athlete_id', 'day', 'source', 'session']) as $row
        ) {
            $sessions[$row->athlete_id][substr($row->day, 0, 10)." {$row->source}"][] = $row->session;
        }
        foreach ($sessions as $id => $of) {
            $this->markPlayed((string) $id, $of);
        }
        $over = $all->filter(fn (Fixture $each): bool => $on->isAfter($each->day()));
        if ($over->isNotEmpty()) {
            $this->absences = Absence::query()
                ->whereIn('athlete_id', $athleteIds)
                ->whereNull('withdrawn_at')
                ->where('from_day', '<', $on->iso())
                ->get()
                ->groupBy('athlete_id')
                ->map(fn (Collection $of): array => $of->values()->all())
                ->all();
        }
        if ($all->contains('kind', Fixture::BESIDE)) {
            $told = WorkBesideTold::query()->whereIn('athlete_id', $athleteIds)->whereIn('fixture_id', $all->pluck('id'));
            foreach ($told->get(['athlete_id', 'fixture_id']) as $one) {
                $this->told["{$one->athlete_id} {$one->fixture_id}"] = true;
            }
        }
        if ($over->contains('kind', Fixture::ELSEWHERE)) {
            foreach (WeekElsewhere::query()->whereIn('athlete_id', $athleteIds)->get(['athlete_id', 'week']) as $week) {
                $this->told["{$week->athlete_id} ".substr($week->week, 0, 10)] = true;
            }
        }
    }

    /** @param  array<string, list<string>>  $sessions  of work by day and source */
    private function markPlayed(string $athleteId, array $sessions): void
    {
        $matches = [];
        foreach ($this->fixtures[$athleteId] ?? [] as $each) {
            $matches["{$each->day()->iso()} {$each->source()}"][] = $each->id;
        }
        foreach (array_intersect_key($matches, $sessions) as $of => $ids) {
            foreach (CountedMatches::of($ids, $sessions[$of]) as $id) {
                $this->played["{$athleteId} {$id}"] = true;
            }
        }
    }

    /**
     * Matches played, training elsewhere and work beside of which nobody has said what they took: until somebody does, they count as
     * expected. Who was away was in none.
     *
     * @return list<Fixture>
     */
    public function uncounted(string $athleteId): array
    {
        return array_values(array_filter(
            $this->fixtures[$athleteId] ?? [],
            fn (Fixture $each): bool => $each->day()->ordinal < $this->on->ordinal
                && ! isset($this->played["{$athleteId} {$each->id}"])
                && ! $this->isTold($athleteId, $each)
                && ! $this->wasAway($athleteId, $each->day()),
        ));
    }

    private function isTold(string $athleteId, Fixture $fixture): bool
    {
        return match ($fixture->kind) {
            Fixture::BESIDE => isset($this->told["{$athleteId} {$fixture->id}"]),
            Fixture::ELSEWHERE => isset($this->told["{$athleteId} ".WeeklyDays::monday($fixture->day())->iso()]),
            default => false,
        };
    }

    private function wasAway(string $athleteId, Day $day): bool
    {
        $keeps = fn (Absence $absence): bool => $absence->keepsAway($day, $this->on);

        return array_filter($this->absences[$athleteId] ?? [], $keeps) !== [];
    }

    /** @return list<int> ordinals of match days declared in time, some weeks back and all ahead */
    public function matchDays(string $athleteId): array
    {
        return array_values(
            array_unique(
                array_map(
                    fn (Fixture $each): int => $each->day()->ordinal,
                    array_filter(
                        $this->fixtures[$athleteId] ?? [],
                        fn (Fixture $each): bool => $each->kind === Fixture::MATCH && $each->wasDeclaredInTime(),
                    ),
                ),
            ),
        );
    }

    /** @return list<Fixture> from the day on, those not recorded as work yet */
    public function ahead(string $athleteId, ?string $kind = null): array
    {
        return array_values(array_filter($this->fixtures[$athleteId] ?? [], function (Fixture $each) use ($athleteId, $kind): bool {
            return $each->day()->ordinal >= $this->on->ordinal
                && ($kind === null || $each->kind === $kind)
                && ! isset($this->played["{$athleteId} {$each->id}"])
                && ! ($each->kind === Fixture::BESIDE && $this->isTold($athleteId, $each));
        }));
    }
}
