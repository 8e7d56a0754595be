<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Athletes\Squad;
use App\Gates\Placement;
use App\Health\DatedBounds;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Limits\AthleteLoad;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Returns\ReturnsUnderWay;
use App\Sessions\RefitPlans;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use App\Sessions\TrainingSession;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\DoseShares;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Surface;
use Augendo\Core\Planning\Carried;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\MatchEvent;
use Augendo\Core\Planning\Pace;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SeasonDay;
use Augendo\Core\Planning\SeasonPlan;
use Augendo\Core\Planning\SeasonPlanner;
use Augendo\Core\Planning\SeasonReturn;
use Augendo\Core\Planning\SessionLife;
use Augendo\Core\Planning\SquadDays;
use Augendo\Core\Planning\Standing;
use Augendo\Core\Planning\WeeklyDays;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Seasons: planned from the record as it is, agreed to, and put on the calendar two weeks at a time. */
final class Seasons
{
    /** How far beyond its goal the squad's own sessions are looked at: as far as the planner looks for the goal. */
    private const SQUAD_BEYOND_DAYS = 182;

    public function __construct(private readonly Library $library, private readonly RungsClimbed $climbed) {}

    /** @param  Season  $season  kept, or only filled in to be looked at */
    public function plan(Season $season, Day $today): SeasonPlan
    {
        $athlete = $season->athlete;
        $day = new AthleteDay($athlete, $today, $season->squad);
        $ladder = $this->library->ladder($season->ladder);
        $placement = $day->ladders->placementsOf($athlete)[$ladder->id] ?? throw new Problem(
            ProblemType::NotOnThisLadder,
            "{$athlete->given_name} has no place on “{$ladder->name}”. Place the athlete first, under Intake.",
            ['ladder' => ['Not on this ladder yet.']],
        );
        $ask = $this->ask($season, $today, $day->load->fixtures, $this->squadDays($season, $today));
        $calm = Readiness::on(
            $today,
            $day->load->age,
            [new SorenessReport(
                at: Instant::of("{$today->iso()}T00:00:00Z"),
                moment: Moment::Morning,
                site: Site::None,
                side: null,
                kind: Kind::Muscle,
                score: 0,
            )],
            [],
        );
        // Today's own words hold today; tomorrow is planned as if nothing were sore.
        $first = $season->startsOn()->isAfter($today) ? $calm : $day->readiness;

        return SeasonPlanner::plan(
            ask: $ask,
            ladder: $ladder
                ->forAthlete($day->load->profile, $today, $this->library->doses())
                ->onFloor(Surface::tryFrom((string) $season->squad->floor)),
            standing: $this->standing($season, $placement, $today, $this->library->doses()->at($day->load->age)),
            price: $day->load->price,
            record: $day->load->record,
            limits: $day->limits,
            throwing: $athlete->throwing_side,
            today: $first,
            calm: $calm,
            return: $this->wayBack($day, $ladder->id, $ladder->skill->id),
            otherPlans: $this->beside($season, $ask, $day->load, $today),
        );
    }

    /**
     * What is planned beside the season and priced as it is: other skills, training elsewhere, doses a coach set, and a session of the
     * squad on a day the season leaves out. Its own sheets and the matches are in the plan itself.
     *
     * @return list<CostedSet>
     */
    public function beside(Season $season, SeasonAsk $ask, AthleteLoad $load, Day $today): array
    {
        $inPlan = [];
        foreach ($this->sheetsUsed($season, $ask, $today) as $sheet) {
            $inPlan[$sheet->id] = true;
        }
        // What it made for a day it does not train on any more goes with the next look at the calendar.
        $extra = TrainingSession::query()->where('extra', true)->select('id');
        $made = Sheet::query()->where('season_id', $season->id)->whereIn('training_session_id', $extra)->where('state', 'planned');
        foreach ($made->where('edited', false)->pluck('id') as $id) {
            $inPlan[$id] = true;
        }
        foreach ($load->fixtures->ahead($season->athlete_id, Fixture::MATCH) as $match) {
            $inPlan[MatchEvent::session($match->id)] = true;
        }

        return array_values(array_filter($load->plans, fn (CostedSet $set): bool => ! isset($inPlan[$set->session])));
    }

    /** @return array<string, Sheet> the sheet each training day of the season uses, by day: its own, else the first there is */
    private function sheetsUsed(Season $season, SeasonAsk $ask, Day $today): array
    {
        $days = array_flip($ask->trainingDays());
        $used = [];
        $sheets = Sheet::query()
            ->where('athlete_id', $season->athlete_id)
            ->where('ladder', $season->ladder)
            ->where('held_on', '>=', $today->iso())
            ->where('state', 'planned')
            ->where('edited', false)
            ->orderBy('held_on')
            ->orderBy('id')
            ->get();
        foreach ($sheets as $sheet) {
            $iso = $sheet->day()->iso();
            if (isset($days[$sheet->day()->ordinal]) && (! isset($used[$iso]) || $sheet->season_id === $season->id)) {
                $used[$iso] = $sheet;
            }
        }

        return $used;
    }

    /** From the Monday the season began in: heavy and light days keep their rhythm when it is planned anew in the middle of a week. */
    public function squadDays(Season $season, Day $today): SquadDays
    {
        return SquadSessions::days(
            athlete: $season->athlete,
            ladder: $season->ladder,
            from: WeeklyDays::monday($season->startsOn()),
            to: $season->goalOn()->latest($today)->plus(self::SQUAD_BEYOND_DAYS),
        );
    }

    private function ask(Season $season, Day $today, Fixtures $fixtures, SquadDays $squad): SeasonAsk
    {
        // Doses a coach set on a day are priced as they are; the season plans nothing on top of them.
        $given = Sheet::query()
            ->where('athlete_id', $season->athlete_id)
            ->where('ladder', $season->ladder)
            ->where('held_on', '>', $today->iso())
            ->where('state', 'planned')
            ->where('edited', true)
            ->get()
            ->map(fn (Sheet $sheet): int => $sheet->day()->ordinal)
            ->all();
        $matches = array_map(
            fn (Fixture $each) => $each->event($this->library->skills(), $season->athlete_id),
            $fixtures->ahead($season->athlete_id, Fixture::MATCH),
        );
        $moves = [];
        foreach ($season->moves as $from => $to) {
            $moves[Day::of($from)->ordinal] = Day::of($to)->ordinal;
        }

        return new SeasonAsk(
            from: $season->startsOn()->latest($today),
            goalDay: $season->goalOn(),
            weekdays: $season->weekdays,
            goalRung: $season->goal_rung,
            matches: $matches,
            moves: $moves,
            off: [
                ...array_map(fn (string $iso): int => Day::of($iso)->ordinal, $season->off),
                ...$squad->lost,
                ...array_values($given),
                ...(new DatedBounds([$season->athlete_id], $today))->daysOff($season->athlete_id, $today, $season->goalOn()),
            ],
            minutes: $season->minutes,
            start: $season->startsOn(),
            withSquad: $squad->with,
            heeded: $season->heeded(),
        );
    }

    private function standing(Season $season, Placement $placement, Day $today, DoseShares $shares): Standing
    {
        // The dose of a rung goes on from that of the rung before it.
        $lately = $today->plus(-Carried::DAYS)->iso();
        $entered = substr($placement->entered_on, 0, 10);
        $sheets = Sheet::query()
            ->with('blocks')
            ->where('athlete_id', $season->athlete_id)
            ->where('ladder', $placement->ladder)
            ->whereNull('return_stage')
            ->where('state', 'finished')
            ->where('held_on', '>=', min($lately, $entered))
            ->orderByDesc('held_on')
            ->get();
        $judged = fn (Sheet $sheet): Collection => $sheet->blocks->where('judged', true)->where('reps', '>', 0);
        $done = DB::table('work_sets')->whereIn('block_id', $sheets->flatMap($judged)->pluck('id'))
            ->groupBy('block_id')->selectRaw('block_id, sum(reps) as reps')->pluck('reps', 'block_id');
        // A session without its own dose is no session on the rung.
        $worked = $sheets->filter(fn (Sheet $sheet): bool => $judged($sheet)->contains(
            fn (SheetBlock $block): bool => ($done[$block->id] ?? 0) > 0,
        ));
        $onRung = $worked->filter(fn (Sheet $sheet): bool => $sheet->rung === $placement->rung && $sheet->day()->iso() >= $entered);
        $heavy = $worked->first(fn (Sheet $sheet): bool => (
            $sheet->pace['emphasis'] ?? Emphasis::Heavy->value
        ) === Emphasis::Heavy->value);
        $block = $heavy === null ? null : $judged($heavy)->first(fn (SheetBlock $each): bool => ($done[$each->id] ?? 0) > 0);

        return new Standing(
            rung: $placement->rung,
            sessions: $onRung->count(),
            reached: $block === null ? null : Pace::at((int) $done[$block->id], (float) $block->effort, $block->distance_m),
            shares: $shares,
            rate: $this->climbed->rate($season->athlete_id, $season->squad, $today),
        );
    }

    private function wayBack(AthleteDay $day, string $ladder, string $skill): ?SeasonReturn
    {
        $return = $day->returns->open($day->athlete->id, $ladder);
        if ($return === null) {
            return null;
        }
        $programme = $return->programmeAsOpened();

        return new SeasonReturn(
            programme: $programme,
            stage: $return->stage,
            attempts: $day->returns->attempts($return),
            clearances: ReturnsUnderWay::clearances($return, $day->on),
            accepted: $return->notBefore(),
            side: $return->workingSide($day->athlete),
            nothing: $this->library->objects()['nothing'],
            usualWeek: $return->usual_week,
        );
    }

    /**
     * A season as it would be, without keeping it.
     *
     * @param  array<string, mixed>  $given  validated
     */
    public function draft(Athlete $athlete, array $given, Day $today, ?Season $over = null): Season
    {
        $season = $over === null
            ? new Season([
                'athlete_id' => $athlete->id,
                'squad_id' => $this->squadOf($athlete)->id,
                'starts_on' => $today->iso(),
                'agreed' => [],
                'state' => 'open',
                'version' => 0,
            ])
            : $over;
        $season->fill([
            ...array_intersect_key($given, array_flip(['goal_rung', 'goal_on', 'weekdays', 'minutes', 'moves', 'off', 'heeded'])),
            'ladder' => $over->ladder ?? $given['ladder'],
        ]);
        $season->setRelation('athlete', $athlete);
        $ladder = $this->library->ladder($season->ladder);
        if ($season->goal_rung !== null && $ladder->rung($season->goal_rung) === null) {
            throw new Problem(
                ProblemType::NoSuchRung,
                "“{$ladder->name}” has no such rung.",
                ['goal_rung' => ['Choose a rung of this ladder.']],
            );
        }
        $this->refuseMoves($season, $today);

        return $season;
    }

    /** @throws Problem when a session was moved where it cannot be */
    private function refuseMoves(Season $season, Day $today): void
    {
        $taken = [];
        $squad = $season->moves === [] ? null : $this->squadDays($season, $today);
        foreach ($season->moves as $from => $to) {
            $day = Day::of($to);
            $why = match (true) {
                $today->isAfter($day) => 'That day is over.',
                $squad->isWith(Day::of($from)) => 'The squad trains on '.Wording::day(Day::of($from)).'. Move its session on the calendar.',
                $squad->isWith($day) => 'The squad trains that day.',
                $day->isAfter($season->goalOn()) => 'That day lies after the goal.',
                isset($taken[$to]) => 'Another session was moved there already.',
                in_array($to, $season->off, true) => 'That day is taken off.',
                in_array(SeasonAsk::weekday($day->ordinal), $season->weekdays, true)
                    && ! isset($season->moves[$to]) => 'There is a session that day already.',
                Fixture::concerning([$season->athlete_id])
                    ->where('kind', Fixture::MATCH)
                    ->where('held_on', $to)
                    ->exists() => 'A match is played that day.',
                default => null,
            };
            if ($why !== null) {
                throw new Problem(ProblemType::NotMoved, $why.' The session stays where it was.', ['moves' => [$why]]);
            }
            $taken[$to] = $from;
        }
    }

    /** @param  array<string, mixed>  $given  validated */
    public function open(Athlete $athlete, array $given, User $by): Season
    {
        $season = $this->draft($athlete, $given, $by->workspace->today());
        $plan = $this->plan($season, $by->workspace->today());

        return Alone::with($athlete->id, function () use ($athlete, $given, $by, $season, $plan): Season {
            if (self::hasOpen($athlete, $given['ladder'])) {
                throw new Problem(
                    ProblemType::ASeasonIsOpen,
                    "{$athlete->given_name} has a season on this ladder already. Change that one, or close it first.",
                );
            }
            $season->fill(['created_by' => $by->id]);
            $this->agree($season, $plan, $by->workspace->today());
            self::note($season, $by);

            return $season;
        });
    }

    private static function hasOpen(Athlete $athlete, string $ladder): bool
    {
        return Season::query()->where('athlete_id', $athlete->id)->where('ladder', $ladder)->where('state', 'open')->exists();
    }

    private static function note(Season $season, User $by): void
    {
        $asked = ['ladder' => $season->ladder, 'goal' => $season->goal_rung, 'on' => $season->goal_on];
        Audit::of($by, $season->athlete, 'season planned', $asked);
    }

    /**
     * The same season for everybody of a squad who stands on a ladder and has none: so many rungs up, or as they stand. Kept at once for
     * all; the weeks of each are worked out by the worker, one athlete after the other.
     *
     * @param  array{goal_on: string, weekdays: list<int>, minutes: int|null, rungs_up: int}  $given  validated
     * @return array{int, list<string>}
     */
    public function openForSquad(Squad $squad, array $given, User $by): array
    {
        $asked = [];
        $left = [];
        foreach ($squad->athletes()->whereNull('erased_at')->get() as $athlete) {
            $placement = Placement::standing()->where('athlete_id', $athlete->id)->orderByDesc('entered_at')->first();
            if ($placement === null) {
                $left[] = "{$athlete->given_name} stands on no ladder yet";

                continue;
            }
            $ladder = $this->library->ladder($placement->ladder);
            $goal = $ladder->rungs[min(count($ladder->rungs) - 1, (int) $ladder->position($placement->rung) + $given['rungs_up'])];
            $ask = [...$given, 'ladder' => $ladder->id, 'goal_rung' => $goal->id, 'moves' => [], 'off' => []];
            $asked[] = $this->draft($athlete, $ask, $by->workspace->today())->fill([
                'agreed_at' => now()->toIso8601String(),
                'created_by' => $by->id,
                'waiting' => true,
            ]);
        }
        $made = Alone::with(array_map(fn (Season $each): string => $each->athlete_id, $asked), function () use ($asked, $by, &$left): int {
            $made = 0;
            foreach ($asked as $season) {
                if (self::hasOpen($season->athlete, $season->ladder)) {
                    $left[] = "{$season->athlete->given_name} has a season already";

                    continue;
                }
                $season->save();
                self::note($season, $by);
                WorkOutSeason::dispatch($season->id)->afterCommit();
                $made++;
            }

            return $made;
        });
        if ($made === 0) {
            throw new Problem(
                ProblemType::NobodyToPlanFor,
                $left === [] ? 'Nobody is in this squad yet. Add an athlete under People.' : implode('; ', $left).'.',
                ['goal_on' => ['Nobody to plan for.']],
            );
        }

        return [$made, $left];
    }

    /** Works out the weeks of a season that was kept for a whole squad, unless somebody changed or closed it meanwhile. */
    public function workOut(Season $season): void
    {
        if (! $season->waiting || $season->state !== 'open') {
            return;
        }
        $today = $season->squad->workspace->today();
        $plan = $this->plan($season, $today);
        Alone::with($season->athlete_id, function () use ($season, $plan, $today): void {
            $same = ['id' => $season->id, 'state' => 'open', 'waiting' => true, 'version' => $season->version];
            if (Season::query()->where($same)->exists()) {
                $this->agree($season, $plan, $today);
            }
        });
    }

    /**
     * @param  array<string, mixed>  $given  validated
     *
     * @throws Problem when somebody changed it since it was read
     */
    public function change(Season $season, array $given, User $by): void
    {
        $refuse = function () use ($season, $given): void {
            $kept = DB::table('seasons')->where('id', $season->id)->first();
            if ($kept === null || (int) $kept->version !== $given['version'] || $kept->state !== 'open') {
                $version = (int) ($kept->version ?? 0);
                throw new Problem(
                    ProblemType::ChangedMeanwhile,
                    "Somebody changed this season since you opened it (version {$version}, yours {$given['version']}). "
                        .'What you set is kept on the screen: look at both, then save again.',
                    extra: ['version' => $version],
                );
            }
        };
        $refuse();
        $season->loadMissing('athlete', 'squad');
        // Worked out before the write lock is taken, and kept only if nobody was faster.
        $plan = $this->plan($this->draft($season->athlete, $given, $by->workspace->today(), $season), $by->workspace->today());
        Alone::with($season->athlete_id, function () use ($season, $plan, $refuse, $by): void {
            $refuse();
            $this->agree($season, $plan, $by->workspace->today());
            Audit::of($by, $season->athlete, 'season changed', ['goal' => $season->goal_rung, 'on' => $season->goal_on]);
        });
    }

    public function close(Season $season, User $by): void
    {
        Alone::with($season->athlete_id, function () use ($season, $by): void {
            $season->update(['state' => 'closed', 'version' => $season->version + 1]);
            $this->takeOff($season, $by->workspace->today(), []);
            Audit::of($by, $season->athlete, 'season closed');
        });
    }

    /** Keeps what is planned now as what was agreed to, and puts the next two weeks on the calendar. */
    private function agree(Season $season, SeasonPlan $plan, Day $today): void
    {
        $past = array_filter($season->agreed, fn (string $day): bool => $day < $today->iso(), ARRAY_FILTER_USE_KEY);
        $ahead = [];
        foreach ($plan->days as $day) {
            $ahead[$day->day->iso()] = self::expected($day);
        }
        // What could not be planned as asked is kept as it was planned.
        $season->fill([
            'goal_on' => $plan->ask->goalDay->iso(), 'weekdays' => $plan->ask->weekdays,
            'agreed' => [...$past, ...$ahead], 'agreed_at' => now()->toIso8601String(),
            'version' => $season->version + 1, 'waiting' => false,
        ])->save();
        $this->putOnCalendar($season, $plan, $today);
    }

    /** @return array<string, mixed> a planned day as it is kept */
    public static function expected(SeasonDay $day): array
    {
        return [
            'title' => $day->match !== null ? $day->match->title : $day->rung?->name, 'match' => $day->match !== null,
            'stage' => $day->stage,
            'reps' => $day->reps(), 'arm' => round($day->cost('arm'), 3), 'landings' => round($day->cost('landings'), 3),
        ];
    }

    private function putOnCalendar(Season $season, SeasonPlan $plan, Day $today): void
    {
        $days = array_values(
            array_filter(
                $plan->days,
                fn (SeasonDay $day): bool => $day->match === null && SessionLife::needsSheets($day->day, $today),
            ),
        );
        $this->takeOff($season, $today, array_map(fn (SeasonDay $day): string => $day->day->iso(), $days));
        $placement = Placement::standing()
            ->where('athlete_id', $season->athlete_id)
            ->where('ladder', $season->ladder)
            ->orderByDesc('entered_at')
            ->firstOrFail();
        $used = $this->sheetsUsed($season, $plan->ask, $today);
        foreach ($days as $day) {
            $iso = $day->day->iso();
            $there = Sheet::query()->where('athlete_id', $season->athlete_id)->where('ladder', $season->ladder)->where('held_on', $iso);
            if ($there->where(fn ($own) => $own->whereIn('state', ['running', 'finished'])->orWhere('edited', true))->exists()) {
                continue;
            }
            $sheet = $used[$iso] ?? null;
            $pace = ['emphasis' => $day->emphasis?->value, 'minutes' => $season->minutes ?? $sheet->pace['minutes'] ?? null];
            if ($day->held !== null) {
                $pace += [
                    'reps' => $day->held->reps,
                    'effort' => $day->held->effort,
                    'distance_m' => $day->held->distanceM,
                    'share' => $plan->growsTo,
                ];
            }
            $sheet ??= Sheet::planned($this->session($season, $day->day), $placement);
            $sheet->fill(['season_id' => $season->id, 'pace' => $pace]);
            if ($sheet->isDirty()) {
                $sheet->save();
                RefitPlans::afterCommit($sheet);
            }
        }
        $season->update(['followed_on' => $today->iso()]);
    }

    /**
     * Sheets of the season that are no longer in it go, as long as nobody has worked on them or edited them.
     *
     * @param  list<string>  $keep  days
     */
    private function takeOff(Season $season, Day $today, array $keep): void
    {
        $gone = Sheet::query()
            ->where('season_id', $season->id)
            ->where('held_on', '>=', $today->iso())
            ->whereNotIn('held_on', $keep)
            ->where('state', 'planned')
            ->where('edited', false)
            ->whereNotIn('id', DB::table('rep_events')->select('sheet_id'))
            ->get();
        foreach ($gone as $sheet) {
            assert($sheet instanceof Sheet);
            $session = $sheet->trainingSession()->firstOrFail();
            if (! $session->extra) {
                // The squad's session is theirs without the season, too: at the rung's own dose.
                $minutes = $sheet->pace['minutes'] ?? null;
                $sheet->update(['season_id' => null, 'pace' => $minutes === null ? null : ['minutes' => $minutes]]);
                RefitPlans::afterCommit($sheet);

                continue;
            }
            $sheet->delete();
            if ($session->sheets()->doesntExist()) {
                $session->delete();
            }
        }
        AthletesChanged::one($season->athlete_id);
    }

    /** Puts the next weeks on the calendar anew, once a day and whenever the squad's sessions change. */
    public function follow(Season $season): void
    {
        if ($season->waiting || $season->state !== 'open') {
            return;
        }
        $today = $season->squad->workspace->today();
        if ($today->isAfter($season->goalOn())) {
            return;
        }
        $plan = $this->plan($season, $today);
        Alone::with($season->athlete_id, function () use ($season, $plan, $today): void {
            $same = ['id' => $season->id, 'state' => 'open', 'waiting' => false, 'version' => $season->version];
            $days = $this->squadDays($season, $today);
            // Somebody was taken out, or a session moved, while this was worked out: the change itself asks for the next run.
            $stands = $days->with === $plan->ask->withSquad && array_diff($days->lost, $plan->ask->off) === [];
            if ($stands && Season::query()->where($same)->exists()) {
                $this->putOnCalendar($season, $plan, $today);
            }
        });
    }

    private function session(Season $season, Day $day): TrainingSession
    {
        return TrainingSession::ofDay($season->squad_id, $day, $season->ladder, '17:00', 'Season session');
    }

    private function squadOf(Athlete $athlete): Squad
    {
        /** @var Squad */
        return $athlete->squads()->orderBy('squads.id')->firstOrFail();
    }
}
