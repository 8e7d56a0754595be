<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\Library\DoseShares;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\LimitBoard;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Returning\StageRung;

/**
 * Plans weeks ahead for one athlete: from the real record, day after day, each session fitted to every window before the next is looked
 * at, with the matches kept free from the start. What was missed is not in the record and is not made up.
 *
 * Doses begin at what the last four weeks carried, and rise one thing at a time on heavy days towards what the rung asks. A rung is held
 * until its gate could be met at the rate the athlete learns. Moving on stays the coach's act on the day: the plan shows what has to be
 * there by when.
 */
final class SeasonPlanner
{
    /** When no training day is left: two days a week, far apart. */
    private const NEAREST_WEEKDAYS = [2, 4];

    /** When the goal day has passed: so many days instead. */
    private const NEAREST_DAYS = 28;

    /** A goal day that is further off is tried so often. */
    private const NEAREST_TRIES = 3;

    /** A day of the record that cost so much of a heavy session was one. */
    private const WAS_HEAVY = 0.75;

    private const RECOVERS_WITHIN_DAYS = 3;

    /** @var list<SeasonProblem> */
    private array $problems = [];

    /** @var list<SeasonDay> */
    private array $days = [];

    /** @var array<int, list<CostedSet>> reserved for matches, by ordinal */
    private array $reserved = [];

    /** @var array<string, Day> the likely first day of each rung that is begun */
    private array $begun = [];

    private int $position;

    private int $onRung;

    private ?Pace $reached;

    /** Position of the rung the athlete stands on, and what was last reached on it. */
    private readonly int $stoodOn;

    private ?Pace $reachedThere;

    private ?Day $returnDone = null;

    /** The day the goal's rung is begun. */
    private ?Day $reachedOn = null;

    /** The last test day whose measurement holds. */
    private ?Day $tested;

    /** Whether the rung has had no session yet. */
    private bool $isNew;

    /** Judged repetitions of the rung so far. */
    private int $judged;

    private readonly int $goal;

    private readonly DoseShares $shares;

    private readonly LearningRate $rate;

    private readonly SeasonDoses $doses;

    private readonly Rhythm $rhythm;

    private readonly RungsAhead $rungs;

    /**
     * @param  Readiness  $today  the word of the first day
     * @param  Readiness  $calm  the word taken for every day after it: nothing sore
     * @param  list<CostedSet>  $otherPlans  planned beside the season, from the first day on
     */
    private function __construct(
        private readonly Ladder $ladder,
        private readonly SetCost $price,
        private LoadRecord $record,
        private LimitCalendar $limits,
        private readonly Handedness $throwing,
        private readonly Readiness $today,
        private readonly Readiness $calm,
        private ?SeasonReturn $return,
        private readonly array $otherPlans,
        private readonly SeasonAsk $ask,
        Standing $standing,
    ) {
        $this->position = (int) $ladder->position($standing->rung);
        $this->onRung = $standing->sessions;
        $this->isNew = $standing->sessions === 0;
        $this->reached = $this->reachedThere = $standing->reached;
        $this->stoodOn = $this->position;
        $this->tested = $ask->tests?->last;
        $this->shares = $standing->shares;
        $this->judged = $standing->sessions * ($standing->reached->reps ?? 0);
        $this->rate = $standing->rate ?? LearningRate::of([], []);
        $this->goal = $ask->goalRung === null ? $this->position : max($this->position, (int) $ladder->position($ask->goalRung));
        $this->doses = new SeasonDoses($ask, $ladder, $standing, $price, $record, $otherPlans);
        $this->rhythm = $this->rhythm();
        $this->rungs = new RungsAhead(
            ask: $ask,
            doses: $this->doses,
            standing: $standing,
            rate: $this->rate,
            from: $this->position,
            goal: $this->goal,
            rhythm: clone $this->rhythm,
        );
    }

    private function rhythm(): Rhythm
    {
        $heavy = max(1e-9, $this->doses->heavySession);
        $matches = array_map(
            fn (MatchEvent $match): float => $this->doses->unitsOf($match->sets($this->price)) / $heavy,
            $this->ask->matchesByDay(),
        );
        $worked = Carried::series($this->record, $this->doses->channel(), $this->doses->side());
        $lastHeavy = null;
        for ($day = $this->ask->from->ordinal - self::RECOVERS_WITHIN_DAYS; $day < $this->ask->from->ordinal; $day++) {
            $lastHeavy = $worked->on($day) >= self::WAS_HEAVY * $heavy ? $day : $lastHeavy;
        }

        return new Rhythm($this->ask, $matches, $lastHeavy);
    }

    /**
     * @param  Standing  $standing  where the athlete stands on the ladder
     * @param  Readiness  $today  the word of the first day
     * @param  Readiness  $calm  nothing sore
     * @param  list<CostedSet>  $otherPlans  planned beside the season, from the first day on
     * @param  bool  $findsNearest  whether the nearest goal day is looked for where the one asked is too near
     */
    public static function plan(
        SeasonAsk $ask, Ladder $ladder, Standing $standing, SetCost $price, LoadRecord $record, LimitCalendar $limits, Handedness $throwing,
        Readiness $today, Readiness $calm, ?SeasonReturn $return = null, array $otherPlans = [],
        bool $findsNearest = true,
    ): SeasonPlan {
        $problems = [];
        if (! $ask->goalDay->isAfter($ask->from)) {
            $problems[] = new SeasonProblem('goal_past');
            $ask = $ask->until($ask->from->plus(self::NEAREST_DAYS));
        }
        if ($ask->trainingDays() === []) {
            $problems[] = new SeasonProblem('no_free_day');
            $ask = $ask->onDays(self::NEAREST_WEEKDAYS);
        }
        $simulated = function (SeasonAsk $ask) use (
            $ladder, $standing, $price, $record, $limits, $throwing, $today, $calm, $return, $otherPlans,
        ): self {
            $planner = new self(
                ladder: $ladder,
                price: $price,
                record: $record,
                limits: $limits->hardOnly(),
                throwing: $throwing,
                today: $today,
                calm: $calm,
                return: $return,
                otherPlans: $otherPlans,
                ask: $ask,
                standing: $standing,
            );
            $planner->simulate();

            return $planner;
        };
        $planner = $simulated($ask);
        $planner->problems = [...$problems, ...$planner->problems];
        if ($planner->stopped()) {
            $planner->problems[] = new SeasonProblem('stopped');
        } elseif ($planner->isTooNear()) {
            $planner->problems[] = new SeasonProblem('too_near', $findsNearest ? self::nearestGoal($simulated, $planner) : null);
        }

        return $planner->planned();
    }

    /**
     * A goal day further off moves the lighter weeks and the days before the goal, so it is tried, not worked out.
     *
     * @param  callable(SeasonAsk): self  $simulated
     * @return Day|null null when it is out of reach
     */
    private static function nearestGoal(callable $simulated, self $planner): ?Day
    {
        for ($tries = 0; $planner->reachedOn !== null && $tries < self::NEAREST_TRIES; $tries++) {
            $goalDay = $planner->ask->goalDay->plus(1)->latest($planner->reachedOn->plus(Rhythm::TAPER_DAYS));
            $planner = $simulated($planner->ask->until($goalDay));
            if (! $planner->isTooNear()) {
                return $goalDay;
            }
        }

        return $planner->reachedOn?->plus(Rhythm::TAPER_DAYS);
    }

    private function isTooNear(): bool
    {
        return $this->reachedOn === null || $this->reachedOn->isAfter($this->ask->goalDay);
    }

    private function simulate(): void
    {
        $beyond = $this->ask->until($this->ask->goalDay->plus(RungsAhead::LOOK_BEYOND_DAYS));
        $training = array_flip($beyond->trainingDays());
        $matches = $this->ask->matchesByDay();
        $this->reserve($this->ask->from);
        for ($day = $this->ask->from->ordinal; $day <= $beyond->goalDay->ordinal; $day++) {
            $within = $day <= $this->ask->goalDay->ordinal;
            if (! $within && ($this->position >= $this->goal || $this->stopped())) {
                break;
            }
            if ($this->return !== null && $this->return->on(Day::fromOrdinal($day))['done']) {
                $this->endReturn($day);
            }
            if (isset($matches[$day]) && $within) {
                $this->match($matches[$day]);
            } elseif (isset($training[$day])) {
                $this->session(Day::fromOrdinal($day), $within);
            }
            $plannedElsewhere = array_values(array_filter($this->otherPlans, fn (CostedSet $set): bool => $set->day === $day));
            if ($plannedElsewhere !== [] && $within) {
                $this->sayWhenElsewhereIsTooMuch(Day::fromOrdinal($day), $plannedElsewhere);
            }
            $this->record = $this->record->with($plannedElsewhere);
            if ($this->reachedOn === null && $this->position >= $this->goal && $this->return === null) {
                $this->reachedOn = Day::fromOrdinal($day);
            }
        }
    }

    private function planned(): SeasonPlan
    {
        $planned = array_values(array_filter($this->days, fn (SeasonDay $day): bool => ! $day->day->isAfter($this->ask->goalDay)));
        $this->sayWhenNothingFits($planned);
        $sessions = array_values(array_filter($planned, fn (SeasonDay $day): bool => $day->match === null && $day->stage === null));

        return new SeasonPlan(
            ask: $this->ask,
            days: $planned,
            rungAtGoal: $sessions === [] ? null : $sessions[count($sessions) - 1]->rung?->id,
            returnDone: $this->returnDone,
            problems: $this->problems,
            expected: $this->rungs->expected($this->begun, $this->returnDone ?? $this->ask->from),
            lightWeeks: $this->rhythm->lightWeeks,
            taperFrom: $this->rhythm->taperFrom === null ? null : Day::fromOrdinal($this->rhythm->taperFrom),
            carried: $this->doses->carried,
            growsTo: $this->doses->growsTo,
            rate: $this->rate,
        );
    }

    private function stopped(): bool
    {
        return $this->return !== null && $this->return->on($this->ask->from)['stopped'];
    }

    private function endReturn(int $day): void
    {
        assert($this->return !== null);
        $done = $this->return->done();
        $this->returnDone = $done->doneOn;
        $this->limits = $this->limits->returned($done);
        $this->return = null;
        $this->reserve(Day::fromOrdinal($day));
    }

    /** Keeps the matches' work free: as much of it as the record and the matches before it allow. */
    private function reserve(Day $from): void
    {
        $this->reserved = [];
        $record = $this->record;
        foreach ($this->ask->matchesByDay() as $ordinal => $match) {
            if ($ordinal >= $from->ordinal && $ordinal <= $this->ask->goalDay->ordinal) {
                $this->reserved[$ordinal] = $this->fitMatch($match, $record)[0];
                $record = $record->with($this->reserved[$ordinal]);
            }
        }
    }

    /** @return array{list<CostedSet>, list<string>} what fits of a match, and the labels of the limits that hold the rest back */
    private function fitMatch(MatchEvent $match, LoadRecord $record): array
    {
        $board = $this->limits->board($match->day, $record);
        $sameDay = array_values(array_filter($this->otherPlans, fn (CostedSet $set): bool => $set->day === $match->day->ordinal));
        $over = fn (float $share): array => self::hardOver($board, $sameDay, $match->sets($this->price, $share));
        $whole = $match->reps();
        $limits = self::labels($over(1.0));
        if ($limits === []) {
            return [$match->sets($this->price), []];
        }
        [$fits, $breaks] = [0, $whole];
        while ($breaks - $fits > 1) {
            $middle = intdiv($fits + $breaks, 2);
            $over($middle / $whole) === [] ? $fits = $middle : $breaks = $middle;
        }

        return [$match->sets($this->price, $fits / $whole), $limits];
    }

    /**
     * @param  list<CostedSet>  $sameDay
     * @param  list<CostedSet>  $sets
     * @return list<LimitState>
     */
    private static function hardOver(LimitBoard $board, array $sameDay, array $sets): array
    {
        return $board->hardTouchedBy($sets)->over([...$sameDay, ...$sets]);
    }

    private function match(MatchEvent $match): void
    {
        $this->rhythm->match($match->day->ordinal);
        if ($this->return !== null) {
            $this->problems[] = new SeasonProblem('match_during_return', $match->day, of: $match->reps(), fits: 0);
            $this->days[] = new SeasonDay(
                day: $match->day,
                week: $this->ask->week($match->day->ordinal),
                match: $match,
                matchReps: 0,
            );

            return;
        }
        [$sets, $limits] = $this->fitMatch($match, $this->record);
        $reps = (int) array_sum(array_map(fn (CostedSet $set): float => $set->cost['reps'], $sets));
        if ($limits !== []) {
            $this->problems[] = new SeasonProblem('match_trimmed', $match->day, $limits, $match->reps(), $reps);
        }
        $sameDay = array_values(array_filter($this->otherPlans, fn (CostedSet $set): bool => $set->day === $match->day->ordinal));
        $board = $this->limits->board($match->day, $this->record)->hardTouchedBy($sets);
        $this->add(
            day: $match->day,
            sets: $sets,
            fullest: LimitState::fullest($board->states([...$sameDay, ...$sets])),
            match: $match,
            matchReps: $reps,
        );
    }

    private function session(Day $day, bool $within): void
    {
        if ($this->return !== null) {
            $this->stage($day, $this->return);

            return;
        }
        $emphasis = $this->rhythm->of($day->ordinal);
        $tests = $this->ask->tests;
        if ($within && $emphasis === Emphasis::Heavy && $tests !== null && $this->isDue($tests, $day)) {
            $this->test($day, $tests);

            return;
        }
        // Beyond the goal only how soon it can be reached is asked: nothing is simulated there, so nothing was idle either.
        $layoff = $within
            ? Layoff::of($this->record, $day, $this->doses->asked($this->position), $this->price)
            : Layoff::days(0);
        $this->find($day, $emphasis, $layoff, $within);
        if ($within) {
            $this->work($day, $emphasis, $layoff);
        } else {
            $this->onRung++;
        }
        $this->rhythm->planned($day->ordinal, $emphasis);
    }

    /** A test takes the place of a heavy day: nothing heavy lies near it. Whoever has not come near full effort is not tested at it. */
    private function isDue(TestsAsked $tests, Day $day): bool
    {
        $rung = $this->doses->asked($this->position);

        return $this->reached !== null
            && $tests->mayBeGiven($this->shares, $this->reached->effort)
            && ! Layoff::of($this->record, $day, $rung, $this->price)->isDue($rung->ownDose()->side)
            && $tests->table->isDue($day, $this->tested, $this->rhythm->followsLightWeek($day->ordinal));
    }

    private function test(Day $day, TestsAsked $tests): void
    {
        $rung = $tests->protocol->asRung($this->doses->asked($this->position));
        $frame = $this->frame($day, $rung);
        $built = SessionBuilder::build($frame, $rung, asGiven: false, minutes: $this->ask->minutes);
        $lastHeavy = $this->rhythm->lastHeavy();
        $this->add(
            day: $day,
            sets: $frame->sets($built->blocks),
            fullest: $frame->fullest($built->blocks),
            emphasis: Emphasis::Test,
            rung: $rung,
            built: $built,
            lastHeavy: $lastHeavy === null ? null : Day::fromOrdinal($lastHeavy),
            held: $this->reachedThere === null ? null : $this->doses->held($this->stoodOn, Emphasis::Light, $this->reachedThere),
        );
        $this->tested = $day;
        $this->rhythm->planned($day->ordinal, Emphasis::Heavy);
    }

    /** The rung of the day: begun again one lower after a long break, and the next one once this one's gate could be met. */
    private function find(Day $day, Emphasis $emphasis, Layoff $layoff, bool $within): void
    {
        $side = $this->doses->asked($this->position)->ownDose()->side;
        if ($layoff->beginsAgain($side)) {
            $this->position = max(0, $this->position - 1);
            $this->reached = null;
        } elseif (! $layoff->isDue($side) && $this->mayMoveOn($emphasis, $within)) {
            $this->position++;
            $this->begun[$this->ladder->rungs[$this->position]->id] ??= $day;
        } else {
            return;
        }
        $this->onRung = 0;
        $this->isNew = true;
    }

    private function work(Day $day, Emphasis $emphasis, Layoff $layoff): void
    {
        $begins = $this->isNew;
        $this->judged = $begins ? 0 : $this->judged;
        $pace = $this->doses->pace($day, $this->position, $emphasis, $layoff, $begins, $this->reached, $this->record);
        $rung = $pace->on($this->doses->grown($this->position));
        $frame = $this->frame($day, $rung);
        $built = SessionBuilder::build($frame, $rung, asGiven: false, minutes: $this->ask->minutes);
        $this->onRung += $built->hasOwnDose() ? 1 : 0;
        $this->isNew = $begins && ! $built->hasOwnDose();
        foreach ($built->blocks as $block) {
            $this->judged += $block->asked->judged ? $block->reps : 0;
            if ($emphasis === Emphasis::Heavy && $block->reps > 0 && $block->asked === $rung->ownDose()) {
                $this->reached = Pace::at($block->reps, $block->effort, $block->distanceM);
            }
        }
        $isThere = $this->position === $this->stoodOn;
        $this->reachedThere = $isThere ? $this->reached : $this->reachedThere;
        $held = $this->reachedThere === null ? null : $this->doses->held($this->stoodOn, $emphasis, $this->reachedThere);
        $protects = $this->rhythm->protects($day->ordinal);
        $lastHeavy = $this->rhythm->lastHeavy();
        $this->add(
            day: $day,
            sets: $frame->sets($built->blocks),
            fullest: $frame->fullest($built->blocks),
            emphasis: $emphasis,
            rung: $rung,
            pace: $pace,
            built: $built,
            begins: $begins,
            protects: $protects === null ? null : $this->ask->matchesByDay()[$protects],
            lastHeavy: $lastHeavy === null ? null : Day::fromOrdinal($lastHeavy),
            held: $isThere ? $pace : $held,
        );
    }

    private function stage(Day $day, SeasonReturn $return): void
    {
        $own = $this->doses->asked($this->position);
        $due = $return->on($day);
        $stage = $due['stage'];
        $rung = $stage === null
            ? StageRung::without($own, [$return->programme->channel])
            : $return->rung($stage, $own, $this->price->longestThrowM($this->ladder->skill));
        $frame = $this->frame($day, $rung);
        $built = SessionBuilder::build($frame, $rung, asGiven: $stage !== null, minutes: $this->ask->minutes);
        $this->add(
            day: $day,
            sets: $frame->sets($built->blocks),
            fullest: $frame->fullest($built->blocks),
            emphasis: $stage === null ? Emphasis::Light : Emphasis::Stage,
            rung: $rung,
            stage: $stage,
            clearance: $due['clearance'] && $stage !== null,
            built: $built,
        );
        if ($stage !== null) {
            $short = fn (BlockPlan $block): bool => $block->asked->judged && $block->reps < $block->asked->sets * $block->asked->reps;
            $this->return = $return->after($day, $stage, array_filter($built->blocks, $short) === []);
        }
    }

    /** The next rung is begun on a heavy day, once this one's gate could be met: on what it asks for at the least, not on less. */
    private function mayMoveOn(Emphasis $emphasis, bool $simulated): bool
    {
        $rung = $this->doses->grown($this->position);
        $isWorked = ! $simulated || $this->judged >= $rung->gate->minReps && $this->reached?->isWorthARung($rung->ownDose()) === true;

        return $this->position < $this->goal
            && $emphasis === Emphasis::Heavy
            && $isWorked
            && $this->onRung >= $this->rungs->sessions($this->position);
    }

    private function frame(Day $day, Rung $rung): SessionFrame
    {
        $later = [];
        foreach ($this->reserved as $ordinal => $sets) {
            if ($ordinal > $day->ordinal) {
                $later = [...$later, ...$sets];
            }
        }
        $others = array_values(array_filter($this->otherPlans, fn (CostedSet $set): bool => $set->day >= $day->ordinal));

        return new SessionFrame(
            on: $day,
            session: self::sessionId($day->ordinal),
            price: $this->price,
            readiness: $day->equals($this->ask->from) ? $this->today : $this->calm,
            record: $this->record,
            limits: $this->limits,
            otherPlans: [...$later, ...$others],
            layoff: Layoff::of($this->record, $day, $this->return === null ? $this->doses->asked($this->position) : $rung, $this->price),
            throwing: $this->throwing,
        );
    }

    private static function sessionId(int $day): string
    {
        return "season {$day}";
    }

    /** @param  list<CostedSet>  $sets  what the day costs */
    private function add(
        Day $day, array $sets, ?LimitState $fullest, ?Emphasis $emphasis = null, ?Rung $rung = null, ?int $stage = null,
        bool $clearance = false, ?Pace $pace = null, ?BuiltSession $built = null, ?MatchEvent $match = null, ?int $matchReps = null,
        bool $begins = false, ?MatchEvent $protects = null, ?Day $lastHeavy = null, ?Pace $held = null,
    ): void {
        $this->record = $this->record->with($sets);
        $this->days[] = new SeasonDay(
            day: $day,
            week: $this->ask->week($day->ordinal),
            emphasis: $emphasis,
            rung: $rung,
            stage: $stage,
            clearance: $clearance,
            pace: $pace,
            built: $built,
            sets: $sets,
            fullest: $fullest,
            match: $match,
            matchReps: $matchReps,
            begins: $begins,
            protects: $protects,
            lastHeavy: $lastHeavy,
            held: $held,
        );
    }

    /** @param  list<CostedSet>  $sets  of the day, planned beside the season */
    private function sayWhenElsewhereIsTooMuch(Day $day, array $sets): void
    {
        $over = $this->limits->board($day, $this->record)->hardTouchedBy($sets)->over($sets);
        $already = array_filter($this->problems, fn (SeasonProblem $problem): bool => $problem->code === 'elsewhere_over');
        if ($over !== [] && $already === []) {
            $this->problems[] = new SeasonProblem('elsewhere_over', $day, self::labels($over));
        }
    }

    /**
     * @param  list<LimitState>  $states
     * @return list<string>
     */
    private static function labels(array $states): array
    {
        return array_map(fn (LimitState $state): string => $state->limit->label, $states);
    }

    /** @param  list<SeasonDay>  $days */
    private function sayWhenNothingFits(array $days): void
    {
        $sessions = array_filter($days, fn (SeasonDay $day): bool => $day->built !== null);
        $working = array_filter($sessions, fn (SeasonDay $day): bool => $day->sets !== []);
        if ($sessions === [] || $working !== []) {
            return;
        }
        $limits = [];
        foreach ($sessions as $day) {
            foreach ($day->built->trims ?? [] as $trim) {
                foreach ($trim->limits as $state) {
                    $limits[$state->id] = $state->label;
                }
            }
        }
        $this->problems[] = new SeasonProblem('nothing_fits', null, array_values($limits));
    }
}
