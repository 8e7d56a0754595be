<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Answers\NamedView;
use App\Athletes\AthleteDay;
use App\Athletes\Cards;
use App\Gates\Placement;
use App\Seasons\Answers\ExpectedRungView;
use App\Seasons\Answers\HeededView;
use App\Seasons\Answers\SeasonChangeView;
use App\Seasons\Answers\SeasonDayView;
use App\Seasons\Answers\SeasonPointView;
use App\Seasons\Answers\SeasonProblemView;
use App\Seasons\Answers\SeasonView;
use App\Seasons\Answers\SeasonWeekView;
use App\Seasons\Answers\SuggestionView;
use App\Sessions\Sheet;
use App\Wording\PlanWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Measure;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\ExpectedRung;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SeasonDay;
use Augendo\Core\Planning\SeasonPlan;
use Augendo\Core\Planning\SeasonProblem;
use Augendo\Core\Planning\Suggestion;
use Augendo\Core\Planning\Trim;
use Illuminate\Support\Facades\DB;

/** Whether a goal can be reached in time without breaking anything: weeks with their load, matches, stages and rungs. */
final class SeasonScreen
{
    public function __construct(
        private readonly Library $library,
        private readonly WeeksAhead $ahead,
        private readonly RecordSays $record,
    ) {}

    /** @param  bool  $decides  whether whoever looks decides about the athlete: to others the mornings are not told */
    public function view(Season $season, Day $today, bool $decides): SeasonView
    {
        $look = $this->ahead->look($season, $today);
        $plan = $look->plan;
        $ladder = $this->library->ladder($season->ladder);
        $day = new AthleteDay($season->athlete, $today, $season->squad);
        $placement = $day->ladders->placementsOf($season->athlete)[$ladder->id];
        $arm = $day->load->record->wholeSeries(Measure::Arm);
        $landings = $day->load->record->wholeSeries(Measure::Landings);
        $sheets = DB::table('sheets')
            ->where('athlete_id', $season->athlete_id)
            ->where('ladder', $season->ladder)
            ->where('held_on', '>=', $season->startsOn()->iso())
            ->where('state', '!=', Sheet::CALLED_OFF)
            ->get(['id', 'held_on', 'state'])
            ->keyBy(fn (object $row): string => substr($row->held_on, 0, 10))
            ->all();
        $planned = [];
        foreach ($plan->days as $each) {
            $planned[$each->day->iso()] = $each;
        }
        $elsewhere = [];
        foreach ($day->load->fixtures->ahead($season->athlete_id) as $fixture) {
            if ($fixture->kind !== Fixture::MATCH) {
                $elsewhere[$fixture->day()->iso()][] = $fixture;
            }
        }
        $beside = $look->besideByDay();
        $others = $look->othersByDay();
        $squad = $this->ahead->squadDays($season, $today);

        $changes = $season->exists && ! $season->waiting ? self::changes($season, $plan, $today) : [];
        $weeks = [];
        $record = $day->load->record;
        $monday = $season->startsOn()->ordinal - (SeasonAsk::weekday($season->startsOn()->ordinal) - 1);
        for ($number = 0; $monday + 7 * $number <= $plan->ask->goalDay->ordinal; $number++) {
            $days = [];
            for ($ordinal = $monday + 7 * $number; $ordinal < $monday + 7 * $number + 7; $ordinal++) {
                $on = Day::fromOrdinal($ordinal);
                $iso = $on->iso();
                $days[] = $today->isAfter($on) || ($planned[$iso] ?? null) === null && $arm->on($ordinal) > 0.0
                    ? $this->pastDay($season, $on, $arm->on($ordinal), $landings->on($ordinal), $sheets[$iso] ?? null)
                    : $this->day(
                        season: $season,
                        on: $on,
                        day: $planned[$iso] ?? null,
                        sheet: $sheets[$iso] ?? null,
                        elsewhere: $elsewhere[$iso] ?? [],
                        beside: $beside[$ordinal] ?? [],
                        others: $others[$ordinal] ?? null,
                        doneArm: $arm->on($ordinal),
                        withSquad: $squad->isWith($on),
                    );
                $record = $record->with([...($planned[$iso] ?? null)->sets ?? [], ...$beside[$ordinal] ?? []]);
            }
            $last = Day::fromOrdinal($monday + 7 * $number + 6);
            $inWeek = array_values(array_filter($plan->days, fn (SeasonDay $each): bool => $each->week === $number));
            $fullest = LimitState::fullest(array_values(array_filter(array_map(fn (SeasonDay $each) => $each->fullest, $inWeek))));
            $weeks[] = new SeasonWeekView(
                number: $number + 1,
                monday: Day::fromOrdinal($monday + 7 * $number)->iso(),
                lighter: in_array($number, $plan->lightWeeks, true),
                fresh: $plan->taperFrom !== null && ! $plan->taperFrom->isAfter($last),
                begins: self::begun($inWeek),
                own_reps: array_sum(array_map(fn (SeasonDay $each): int => $each->ownReps(), $inWeek)),
                fullest: $fullest === null ? null : Wording::limitName($fullest->limit->label),
                fullest_share: $fullest?->share(),
                arm: array_sum(array_map(fn (SeasonDayView $each): float => $each->arm, $days)),
                arm_done: $arm->sum($monday + 7 * $number, $last->ordinal),
                arm_max: $day->limits->armStep($last, $record)?->gauge($record, $last)->read([])->max,
                landings: array_sum(array_map(fn (SeasonDayView $each): float => $each->landings, $days)),
                days: $days,
            );
        }

        return new SeasonView(
            id: $season->exists ? $season->id : null,
            version: $season->version,
            athlete: Cards::athlete($season->athlete, $today),
            date: $today->iso(),
            ladder: $ladder->id,
            ladder_name: $ladder->name,
            others: array_keys($look->others),
            rungs: array_map(fn (Rung $rung): NamedView => new NamedView($rung->id, $rung->name), $ladder->rungs),
            current_rung: $placement->rung,
            goal_rung: $season->goal_rung,
            starts_on: $season->startsOn()->iso(),
            goal_on: $plan->ask->goalDay->iso(),
            weekdays: $plan->ask->weekdays,
            minutes: $season->minutes,
            tests: $season->tests,
            tested: $this->library->doses()->at($day->load->age)->askForFullEffort()
                ? $this->library->tests()->for($ladder->skill)?->name
                : null,
            moves: $season->moves === [] ? new \stdClass : $season->moves,
            off: $season->off,
            agreed_at: $season->exists ? $season->agreed_at : null,
            reached: $plan->rungAtGoal === null ? null : $this->rungName($season, $plan->rungAtGoal),
            return_done: $plan->returnDone?->iso(),
            problems: array_map(function (SeasonProblem $problem) use ($plan, $season): SeasonProblemView {
                [$what, $wayOut] = PlanWording::problem(
                    $problem,
                    $plan->ask,
                    $plan->rungAtGoal === null ? 'a stage of the return' : $this->rungName($season, $plan->rungAtGoal),
                );

                return new SeasonProblemView($problem->code, $what, $wayOut);
            }, $plan->problems),
            missed: self::missed($season, $today),
            differs: $changes !== [],
            changes: $changes,
            expected: array_map(fn (ExpectedRung $each): ExpectedRungView => new ExpectedRungView(
                id: $each->rung,
                name: $this->rungName($season, $each->rung),
                early: $each->early?->iso(),
                likely: $each->likely?->iso(),
                late: $each->late?->iso(),
            ), $plan->expected),
            learning: PlanWording::learning($plan->rate),
            begun_from: PlanWording::begunFrom($plan->carried, self::unitsByWeek($plan)),
            heeded: new HeededView(
                units: $season->heeded()->units,
                reps: $season->heeded()->reps,
                effort_less: $season->heeded()->effortLess,
                left: $season->heeded['left'] ?? [],
            ),
            suggestions: $decides ? $this->suggestions($day, $placement, $plan) : [],
            weeks: $weeks,
            curve: $this->curve($season, $plan, $today, $arm->byDay()),
            cautions: $ladder->cautions,
        );
    }

    /** @param  list<CostedSet>  $sets */
    private static function sum(array $sets, string $measure): float
    {
        return array_sum(array_map(fn (CostedSet $set): float => $set->cost[$measure], $sets));
    }

    /** @return list<SuggestionView> */
    private function suggestions(AthleteDay $day, Placement $placement, SeasonPlan $plan): array
    {
        return array_map(
            function (Suggestion $said) use ($plan): SuggestionView {
                [$evidence, $ask] = PlanWording::suggestion($said, $plan->carried->channel);

                return new SuggestionView($said->kind->value, $evidence, $ask, $said->value);
            },
            $this->record->of($day, $placement, $day->ladders->rung($placement), $plan->carried->channel),
        );
    }

    /**
     * @param  list<SeasonDay>  $days
     * @return list<string> names of the rungs begun on them
     */
    private static function begun(array $days): array
    {
        $begun = array_filter($days, fn (SeasonDay $day): bool => $day->begins);

        return array_values(array_unique(array_map(fn (SeasonDay $day): string => (string) $day->rung?->name, $begun)));
    }

    /** @return list<float> units of the part the season loads most, of each whole week */
    private static function unitsByWeek(SeasonPlan $plan): array
    {
        $measure = $plan->carried->channel->measure()->value;
        $weeks = [];
        foreach ($plan->days as $day) {
            $weeks[$day->week] = ($weeks[$day->week] ?? 0.0) + $day->cost($measure);
        }
        $whole = array_slice($weeks, 1, -1);

        return array_values($whole === [] ? $weeks : $whole);
    }

    private function rungName(Season $season, string $rung): string
    {
        return $this->library->ladder($season->ladder)->rung($rung)->name ?? $rung;
    }

    /** @param  object{id: string, state: string}|null  $sheet */
    private function pastDay(Season $season, Day $on, float $arm, float $landings, ?object $sheet): SeasonDayView
    {
        $agreed = $season->agreed[$on->iso()] ?? null;
        $done = $arm > 0.0 || $landings > 0.0 || $sheet?->state === 'finished';

        return new SeasonDayView(
            date: $on->iso(),
            kind: $done ? 'done' : ($agreed !== null ? 'missed' : 'rest'),
            title: $agreed['title'] ?? null,
            emphasis: null,
            emphasis_name: null,
            reps: 0,
            effort: null,
            distance_m: null,
            arm: $arm,
            landings: $landings,
            own_reps: 0,
            begins: false,
            why: [],
            raised: [],
            trims: [],
            needs_clearance: false,
            fullest: null,
            fullest_share: null,
            agreed_arm: isset($agreed['arm']) ? (float) $agreed['arm'] : null,
            sheet_id: $sheet?->id,
            movable: false,
            with_squad: false,
        );
    }

    /**
     * @param  object{id: string, state: string}|null  $sheet
     * @param  list<Fixture>  $elsewhere  training elsewhere, and work beside
     * @param  list<CostedSet>  $beside
     * @param  string|null  $others  names of the athlete's other ladders that have a session
     */
    private function day(
        Season $season, Day $on, ?SeasonDay $day, ?object $sheet, array $elsewhere, array $beside, ?string $others, float $doneArm,
        bool $withSquad,
    ): SeasonDayView {
        $agreed = $season->agreed[$on->iso()]['arm'] ?? null;
        $fixed = implode(', ', array_column($elsewhere, 'title'));
        if ($day === null) {
            return new SeasonDayView(
                date: $on->iso(),
                kind: $elsewhere[0]->kind ?? ($beside === [] ? 'rest' : 'other'),
                title: $fixed !== '' ? $fixed : $others ?? ($beside === [] ? null : self::titleOf($beside[0])),
                emphasis: null,
                emphasis_name: null,
                reps: (int) round(self::sum($beside, 'reps')),
                effort: null,
                distance_m: null,
                arm: self::sum($beside, 'arm') + $doneArm,
                landings: self::sum($beside, 'landings'),
                own_reps: 0,
                begins: false,
                why: [],
                raised: [],
                trims: [],
                needs_clearance: false,
                fullest: null,
                fullest_share: null,
                agreed_arm: $agreed === null ? null : (float) $agreed,
                sheet_id: $sheet?->id,
                movable: false,
                with_squad: false,
            );
        }
        $own = self::ownBlock($day);

        return new SeasonDayView(
            date: $on->iso(),
            kind: $day->match === null ? 'session' : 'match',
            title: (
                $day->match === null ? (string) $day->rung?->name : $day->match->title
            ).($fixed === '' ? '' : ", then {$fixed}"),
            emphasis: $day->emphasis?->value,
            emphasis_name: $day->emphasis === null ? null : PlanWording::emphasis($day->emphasis),
            reps: $day->matchReps ?? $day->reps(),
            effort: $own?->effort,
            distance_m: $own?->distanceM,
            arm: $day->cost('arm') + self::sum($beside, 'arm') + $doneArm,
            landings: $day->cost('landings') + self::sum($beside, 'landings'),
            own_reps: $day->ownReps(),
            begins: $day->begins,
            why: [...PlanWording::whyDay($day), ...($others === null ? [] : [PlanWording::alsoThatDay($others)])],
            raised: array_map(PlanWording::raised(...), $day->pace->raised ?? []),
            trims: array_map(fn (Trim $trim): string => Wording::trim($trim, $on), $day->built->trims ?? []),
            needs_clearance: $day->clearance,
            fullest: $day->fullest === null ? null : "{$day->fullest->limit->label}: ".Wording::limit($day->fullest, $on),
            fullest_share: $day->fullest?->share(),
            agreed_arm: $agreed === null ? null : (float) $agreed,
            sheet_id: $sheet?->id,
            movable: $day->match === null && ! $withSquad,
            with_squad: $withSquad,
        );
    }

    private static function titleOf(CostedSet $set): ?string
    {
        return DB::table('sheets')
            ->join('training_sessions', 'training_sessions.id', '=', 'sheets.training_session_id')
            ->where('sheets.id', $set->session)
            ->value('training_sessions.title');
    }

    private static function ownBlock(SeasonDay $day): ?BlockPlan
    {
        foreach ($day->built->blocks ?? [] as $block) {
            if ($block->asked->judged && $block->reps > 0) {
                return $block;
            }
        }

        return null;
    }

    /** @return string|null sessions that were agreed to, are over and were not held */
    public static function missed(Season $season, Day $today): ?string
    {
        $held = DB::table('work_sets')
            ->where('athlete_id', $season->athlete_id)
            ->where('day', '>=', $season->startsOn()->iso())
            ->distinct()
            ->pluck('day')
            ->map(fn (string $day): string => substr($day, 0, 10))
            ->all();
        $missed = array_keys(
            array_filter(
                $season->agreed,
                fn (array $each, string $day): bool => $day < $today->iso()
                    && $each['match'] === false
                    && ($each['reps'] ?? 0) > 0
                    && ! in_array($day, $held, true),
                ARRAY_FILTER_USE_BOTH,
            ),
        );

        return $missed === []
            ? null
            : Wording::count(count($missed), 'session')
                .' missed, the last '
                .Wording::day(Day::of($missed[count($missed) - 1]))
                .'. What was missed is not added: planned forward from today’s record.';
    }

    /**
     * Days ahead that are of another rung or cost another amount than was agreed.
     *
     * @return list<SeasonChangeView>
     */
    private static function changes(Season $season, SeasonPlan $plan, Day $today): array
    {
        $now = [];
        foreach ($plan->days as $day) {
            $now[$day->day->iso()] = Seasons::expected($day);
        }
        $was = array_filter($season->agreed, fn (string $day): bool => $day >= $today->iso(), ARRAY_FILTER_USE_KEY);
        $units = fn (?array $day): ?int => $day === null ? null : (int) round($day['arm'] + $day['landings']);
        $dates = array_keys($was + $now);
        sort($dates);
        $changed = [];
        foreach ($dates as $date) {
            [$before, $after] = [$was[$date] ?? null, $now[$date] ?? null];
            if ($units($before) !== $units($after) || ($before['title'] ?? null) !== ($after['title'] ?? null)) {
                $changed[] = new SeasonChangeView($date, PlanWording::agreedDay($before), PlanWording::agreedDay($after));
            }
        }

        return $changed;
    }

    /**
     * @param  array<int, float>  $done
     * @return list<SeasonPointView>
     */
    private function curve(Season $season, SeasonPlan $plan, Day $today, array $done): array
    {
        $planned = [];
        foreach ($plan->days as $day) {
            $planned[$day->day->ordinal] = $day->cost('arm') > 0.0 ? $day->cost('arm') : $day->cost('landings');
        }
        $points = [];
        for ($day = $season->startsOn()->ordinal; $day <= $plan->ask->goalDay->ordinal; $day++) {
            $agreed = $season->agreed[Day::fromOrdinal($day)->iso()] ?? null;
            $points[] = new SeasonPointView(
                Day::fromOrdinal($day)->iso(),
                $agreed === null ? null : (float) ($agreed['arm'] > 0 ? $agreed['arm'] : $agreed['landings']),
                $day >= $today->ordinal ? $planned[$day] ?? null : null, $day <= $today->ordinal ? $done[$day] ?? 0.0 : null,
            );
        }

        return $points;
    }
}
