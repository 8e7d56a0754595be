<?php

declare(strict_types=1);

namespace App\Limits;

use App\Athletes\Athlete;
use App\Athletes\HandSpans;
use App\Athletes\Heights;
use App\Courtside\DailyTotals;
use App\Flight\FastestCarries;
use App\Health\DatedBounds;
use App\Library\ChosenSchools;
use App\Library\ClubSizes;
use App\Library\OwnSizes;
use App\People\Workspace;
use App\Seasons\Fixture;
use App\Seasons\Fixtures;
use App\Sessions\SheetBlock;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Marks;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;
use Illuminate\Support\Facades\DB;

/** Fetches what the limits need for many athletes at once, in a handful of queries. */
final class AthleteLoads
{
    public function __construct(
        private readonly Library $library,
        private readonly CarriedLoads $carried,
        private readonly FastestCarries $carries,
        private readonly ClubSizes $sizes,
    ) {}

    /**
     * @param  list<Athlete>  $athletes
     * @param  string|null  $withoutSheet  a sheet whose own work and plan are left out, because they are being planned or counted anew
     * @param  DatedBounds|null  $dated  of the athletes and the day, where somebody has asked already
     * @return array<string, AthleteLoad> by athlete id
     */
    public function for(array $athletes, Day $on, ?string $withoutSheet = null, ?DatedBounds $dated = null): array
    {
        $dated ??= DatedBounds::of($athletes, $on);
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, $athletes);
        $profiles = $this->profiles($athletes, $on);
        $before = $this->carried->before($ids, $on);
        $today = $this->today($ids, $on, Workspace::lastDayOf($athletes, $on), $withoutSheet);
        $internal = $this->internal($ids, $on);
        $plans = $this->plans($ids, $on, $withoutSheet, $profiles);
        $fixtures = new Fixtures($ids, $on);
        $loads = [];
        foreach ($athletes as $athlete) {
            [$totals, $firstDay, $earlier] = $before[$athlete->id];
            $price = new SetCost($profiles[$athlete->id]);
            $ahead = array_values(array_filter(
                $fixtures->ahead($athlete->id),
                // Who is away plays in no match.
                fn (Fixture $each): bool => $dated->away($athlete->id, $each->day()) === null,
            ));
            $uncounted = $this->expected($fixtures->uncounted($athlete->id), $athlete->id, $price);
            $done = [...$totals, ...$uncounted, ...$today[$athlete->id] ?? []];
            $loads[$athlete->id] = new AthleteLoad(
                profile: $profiles[$athlete->id],
                price: $price,
                record: new LoadRecord($done, $internal[$athlete->id] ?? [], $firstDay, $earlier),
                plans: [...$plans[$athlete->id] ?? [], ...$this->expected($ahead, $athlete->id, $price)],
                age: $athlete->ageOn($on),
                fixtures: $fixtures,
            );
        }

        return $loads;
    }

    /**
     * @param  list<Athlete>  $athletes
     * @return array<string, AthleteProfile> by athlete id, with the marks known on that day
     */
    public function profiles(array $athletes, Day $on): array
    {
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, $athletes);
        $throws = $speeds = [];
        foreach (
            DB::table('skill_marks')
                ->whereIn('athlete_id', $ids)
                ->where('measured_on', '<=', $on->iso())
                ->whereNull('withdrawn_at')
                ->orderBy('measured_on')
                ->orderBy('id')
                ->get() as $mark
        ) {
            $day = Day::of(substr($mark->measured_on, 0, 10));
            if ($mark->longest_throw_m !== null) {
                $throws[$mark->athlete_id][$mark->skill][] = [$day, (float) $mark->longest_throw_m, (bool) $mark->doubted];
            }
            if ($mark->reference_speed_ms !== null) {
                $speeds[$mark->athlete_id][$mark->skill][] = [$day, (float) $mark->reference_speed_ms, (bool) $mark->doubted];
            }
        }
        $heights = new Heights($ids, $on);
        $spans = HandSpans::of($ids, $on);
        $schools = ChosenSchools::of($athletes);
        $own = OwnSizes::of($ids);
        $sizes = $profiles = [];
        foreach ($athletes as $athlete) {
            $longest = array_map(
                fn (array $marks): ?array => Marks::longestThrowM($marks, $on, $heights->grewSince($athlete->id)),
                $throws[$athlete->id] ?? [],
            );
            $longest = array_filter($longest);
            $thrown = array_map(fn (array $mark): float => $mark[0], $longest);
            $fastest = array_filter(
                array_map(fn (array $marks): ?float => Marks::referenceSpeedMs($marks, $on), $speeds[$athlete->id] ?? []),
            );
            $profiles[$athlete->id] = new AthleteProfile(
                birthDate: $athlete->birth_date === null ? null : Day::of(substr($athlete->birth_date, 0, 10)),
                longestThrowM: $thrown,
                referenceSpeedMs: $fastest,
                lapsedThrows: array_keys(array_filter($longest, fn (array $mark): bool => $mark[1])),
                schools: $schools[$athlete->id] ?? [],
                handSpanCm: $spans[$athlete->id] ?? null,
                sizes: $sizes[$athlete->workspace_id] ??= $this->sizes->of($athlete->workspace_id),
                ownSizes: $own[$athlete->id] ?? [],
                carriesM: $this->carries->of($athlete->workspace_id, $fastest, $thrown),
            );
        }

        return $profiles;
    }

    /**
     * The single sets of the day itself: session and level limits look at those.
     *
     * @param  list<string>  $ids
     * @return array<string, list<CostedSet>>
     */
    private function today(array $ids, Day $on, Day $last, ?string $withoutSheet): array
    {
        $skills = $this->library->skills();
        $record = [];
        // Who is hours ahead of the club lives in a day of their own: what was done there already is done.
        $today = DB::table('work_sets')->whereIn('athlete_id', $ids)->where('day', '>=', $on->iso())->where('day', '<=', $last->iso())
            ->when($withoutSheet !== null, fn ($query) => $query->where('session', '!=', $withoutSheet))->get();
        foreach ($today as $row) {
            $record[$row->athlete_id][] = self::costed($row, $on, $skills);
        }

        return $record;
    }

    /**
     * What was done on one sheet so far.
     *
     * @param  Day  $on  the day it counts on
     * @return array<string, list<CostedSet>> by block
     */
    public function doneOf(string $sheetId, Day $on): array
    {
        $done = [];
        foreach (DB::table('work_sets')->where('session', $sheetId)->whereNotNull('block_id')->get() as $row) {
            $done[$row->block_id][] = self::costed($row, $on, $this->library->skills());
        }

        return $done;
    }

    /** @param  array<string, Skill>  $skills */
    private static function costed(object $row, Day $on, array $skills): CostedSet
    {
        return new CostedSet(
            day: $on->ordinal,
            session: $row->session,
            skill: $row->skill,
            family: $skills[$row->skill]->family,
            side: Side::from($row->side),
            implement: Implement::from($row->implement),
            cost: DailyTotals::toCost($row),
            effort: $row->effort === null ? 1.0 : (float) $row->effort,
            distanceM: $row->distance_m === null ? null : (float) $row->distance_m,
        );
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, array<int, float>> minutes × session RPE
     */
    private function internal(array $ids, Day $on): array
    {
        $internal = [];
        $sheets = DB::table('sheets')
            ->whereIn('athlete_id', $ids)
            ->where('held_on', '<=', $on->iso())
            ->where('held_on', '>', $on->plus(-CarriedLoads::LOOK_BACK_DAYS)->iso())
            ->whereNotNull('minutes')->whereNotNull('session_rpe')->get(['athlete_id', 'held_on', 'minutes', 'session_rpe']);
        foreach ($sheets as $sheet) {
            $day = Day::of($sheet->held_on)->ordinal;
            $internal[$sheet->athlete_id][$day] = ($internal[$sheet->athlete_id][$day] ?? 0.0) + $sheet->minutes * $sheet->session_rpe;
        }

        return $internal;
    }

    /**
     * @param  list<Fixture>  $fixtures
     * @return list<CostedSet> what they are expected to take of the athlete
     */
    private function expected(array $fixtures, string $athleteId, SetCost $price): array
    {
        return array_merge(
            [],
            ...array_map(fn (Fixture $each): array => $each->event($this->library->skills(), $athleteId)->sets($price), $fixtures),
        );
    }

    /**
     * What is still planned from the day on: of a running sheet, what is not done yet.
     *
     * @param  list<string>  $ids
     * @param  array<string, AthleteProfile>  $profiles
     * @return array<string, list<CostedSet>>
     */
    private function plans(array $ids, Day $on, ?string $withoutSheet, array $profiles): array
    {
        $blocks = SheetBlock::query()->join('sheets', 'sheets.id', '=', 'sheet_blocks.sheet_id')
            ->whereIn('sheets.athlete_id', $ids)
            ->where('sheets.held_on', '>=', $on->iso())
            ->whereIn('sheets.state', ['planned', 'running'])
            ->where('sheet_blocks.reps', '>', 0)
            ->when($withoutSheet !== null, fn ($query) => $query->where('sheets.id', '!=', $withoutSheet))
            ->get(['sheet_blocks.*', 'sheets.athlete_id', 'sheets.held_on', 'sheets.state']);
        $running = $blocks->where('state', 'running')->pluck('id');
        $done = $running->isEmpty()
            ? collect()
            : DB::table('work_sets')
                ->whereIn('block_id', $running)
                ->groupBy('block_id')
                ->selectRaw('block_id, sum(reps) as reps')
                ->pluck('reps', 'block_id');
        $plans = [];
        foreach ($blocks as $block) {
            assert($block instanceof SheetBlock);
            [$athleteId, $heldOn] = [(string) $block->getAttribute('athlete_id'), (string) $block->getAttribute('held_on')];
            $plan = $block->plan($this->library);
            $left = $plan->withReps(max(0, $plan->reps - (int) ($done[$block->id] ?? 0)));
            if ($left->reps > 0) {
                $plans[$athleteId][] = $left->cost(
                    Day::of(substr($heldOn, 0, 10)),
                    $block->sheet_id,
                    new SetCost($profiles[$athleteId]),
                );
            }
        }

        return $plans;
    }
}
