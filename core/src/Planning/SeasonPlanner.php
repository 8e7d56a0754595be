<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
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
 * A rung is held for at least as many sessions as its gate asks for; the sessions there are, are shared out over the rungs up to the goal.
 * Moving on stays the coach's act on the day: the plan shows what has to be there by when.
 */
final class SeasonPlanner
{
    /** When no training day is left: two days a week, far apart. */
    private const NEAREST_WEEKDAYS = [2, 4];

    /** When the goal day has passed: so many days instead. */
    private const NEAREST_DAYS = 28;

    /** How far beyond the goal day the goal is looked for. */
    private const LOOK_BEYOND_DAYS = 182;

    /** @var list<SeasonProblem> */
    private array $problems = [];

    /** @var list<SeasonDay> */
    private array $days = [];

    /** @var array<int, list<CostedSet>> reserved for matches, by ordinal */
    private array $reserved = [];

    private int $position;

    private int $onRung = 0;

    private int $quota = 0;

    private ?Pace $reached = null;

    private ?Day $returnDone = null;

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
        $this->reached = $standing->reached;
    }

    /**
     * @param  Standing  $standing  where the athlete stands on the ladder
     * @param  Readiness  $today  the word of the first day
     * @param  Readiness  $calm  nothing sore
     * @param  list<CostedSet>  $otherPlans  planned beside the season, from the first day on
     */
    public static function plan(
        SeasonAsk $ask, Ladder $ladder, Standing $standing, SetCost $price, LoadRecord $record, LimitCalendar $limits, Handedness $throwing,
        Readiness $today, Readiness $calm, ?SeasonReturn $return = null, array $otherPlans = [],
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
        $planner = new self(
            ladder: $ladder,
            price: $price,
            record: $record,
            limits: $limits,
            throwing: $throwing,
            today: $today,
            calm: $calm,
            return: $return,
            otherPlans: $otherPlans,
            ask: $ask,
            standing: $standing,
        );
        $planner->problems = $problems;

        return $planner->run();
    }

    private function run(): SeasonPlan
    {
        $goal = $this->ask->goalRung === null ? $this->position : max($this->position, (int) $this->ladder->position($this->ask->goalRung));
        $beyond = $this->ask->until($this->ask->goalDay->plus(self::LOOK_BEYOND_DAYS));
        $training = $beyond->trainingDays();
        $matches = $this->ask->matchesByDay();
        $sessionsLeft = count(array_filter(array_keys($training), fn (int $day): bool => $day <= $this->ask->goalDay->ordinal));
        $this->reserve($this->ask->from);
        $reachedOn = null;
        for ($day = $this->ask->from->ordinal; $day <= $beyond->goalDay->ordinal; $day++) {
            $within = $day <= $this->ask->goalDay->ordinal;
            if (! $within && ($this->position >= $goal || $this->stopped())) {
                break;
            }
            if ($this->return !== null && $this->return->on(Day::fromOrdinal($day))['done']) {
                $this->endReturn($day);
            }
            if (isset($matches[$day]) && $within) {
                $this->match($matches[$day]);
            } elseif (isset($training[$day])) {
                $this->session(Day::fromOrdinal($day), $training[$day], $goal, $sessionsLeft, $within);
                $sessionsLeft = max(0, $sessionsLeft - 1);
            }
            $plannedElsewhere = array_values(array_filter($this->otherPlans, fn (CostedSet $set): bool => $set->day === $day));
            if ($plannedElsewhere !== [] && $within) {
                $this->sayWhenElsewhereIsTooMuch(Day::fromOrdinal($day), $plannedElsewhere);
            }
            $this->record = $this->record->with($plannedElsewhere);
            if ($reachedOn === null && $this->position >= $goal && $this->return === null) {
                $reachedOn = Day::fromOrdinal($day);
            }
        }
        if ($this->stopped()) {
            $this->problems[] = new SeasonProblem('stopped');
        } elseif ($reachedOn === null || $reachedOn->isAfter($this->ask->goalDay)) {
            $this->problems[] = new SeasonProblem('too_near', $reachedOn);
        }
        $planned = array_values(array_filter($this->days, fn (SeasonDay $day): bool => ! $day->day->isAfter($this->ask->goalDay)));
        $this->sayWhenNothingFits($planned);
        $sessions = array_values(array_filter($planned, fn (SeasonDay $day): bool => $day->match === null && $day->stage === null));

        return new SeasonPlan(
            $this->ask, $planned, $sessions === [] ? null : $sessions[count($sessions) - 1]->rung?->id,
            $this->returnDone, $this->problems,
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
        $this->add(
            day: $match->day,
            sets: $sets,
            match: $match,
            matchReps: $reps,
        );
    }

    private function session(Day $day, Emphasis $emphasis, int $goal, int $sessionsLeft, bool $within): void
    {
        $own = $this->ladder->rungs[$this->position];
        $return = $this->return;
        if ($return !== null) {
            $due = $return->on($day);
            $stage = $due['stage'];
            $rung = $stage === null
                ? StageRung::without($own, [$return->programme->channel])
                : $return->rung($stage, $own, $this->price->longestThrowM($this->ladder->skill));
            $built = $this->build($day, $rung, asGiven: $stage !== null);
            $this->add(
                day: $day,
                emphasis: $stage === null ? $emphasis : Emphasis::Stage,
                rung: $rung,
                stage: $stage,
                clearance: $due['clearance'] && $stage !== null,
                built: $built,
            );
            if ($stage !== null) {
                $this->return = $return->after(
                    $day,
                    $stage,
                    array_filter(
                        $built->blocks,
                        fn (BlockPlan $block): bool => $block->asked->judged && $block->reps < $block->asked->sets * $block->asked->reps,
                    ) === [],
                );
            }

            return;
        }
        // Beyond the goal only how soon it can be reached is asked: nothing is simulated there, so nothing was idle either.
        $layoff = $within ? Layoff::of($this->record, $day, $own, $this->price) : Layoff::days(0);
        $side = $own->ownDose()->side;
        if ($layoff->beginsAgain($side)) {
            $this->position = max(0, $this->position - 1);
            $this->onRung = 0;
            $this->reached = null;
        } elseif (! $layoff->isDue($side)) {
            $this->moveOn($emphasis, $goal, $sessionsLeft);
        }
        $own = $this->ladder->rungs[$this->position];
        $pace = Pace::next($this->reached, $own->ownDose(), $emphasis, begins: $this->onRung === 0);
        if ($layoff->isDue($side) && $this->reached !== null) {
            // After idle days first the share, then what may be raised: nothing goes up on the day that goes down, and
            // a light day stays light.
            $kept = $this->reached->within($own->ownDose());
            $pace = Pace::at(min($kept->reps, $pace->reps), $kept->effort, $kept->distanceM);
        }
        $rung = $pace->on($own);
        if (! $within) {
            // Only how soon the goal can be reached is still asked for.
            $this->onRung++;

            return;
        }
        $built = $this->build($day, $rung, asGiven: false);
        $this->onRung += $built->hasOwnDose() ? 1 : 0;
        foreach ($built->blocks as $block) {
            if ($emphasis === Emphasis::Heavy && $block->reps > 0 && $block->asked === $rung->ownDose()) {
                $this->reached = Pace::at($block->reps, $block->effort, $block->distanceM);
            }
        }
        if ($emphasis !== Emphasis::Heavy && $pace->raised !== [] && $built->hasOwnDose()) {
            // A rung begun on a light day asks for its least effort and distance there already; the next heavy day goes on from them.
            $this->reached = Pace::at(max($this->reached->reps ?? 0, $pace->reps), $pace->effort, $pace->distanceM);
        }
        $this->add(
            day: $day,
            emphasis: $emphasis,
            rung: $rung,
            pace: $pace,
            built: $built,
        );
    }

    /** The next rung is begun on a heavy day, once this one has had its share of the sessions that are left. */
    private function moveOn(Emphasis $emphasis, int $goal, int $sessionsLeft): void
    {
        $gate = fn (Rung $rung): int => $rung->gate->minSessions;
        if ($this->onRung === 0 || $this->quota === 0) {
            $ahead = array_slice($this->ladder->rungs, $this->position, $goal - $this->position + 1);
            $least = $gate($this->ladder->rungs[$this->position]);
            $this->quota = max($least, (int) floor($sessionsLeft * $least / max(1, array_sum(array_map($gate, $ahead)))));
        }
        if (
            $this->position < $goal
            && ($this->onRung >= $this->quota && $emphasis === Emphasis::Heavy || $this->onRung >= 2 * $this->quota)
        ) {
            $this->position++;
            $this->onRung = 0;
            $this->moveOn($emphasis, $goal, $sessionsLeft);
        }
    }

    private function build(Day $day, Rung $rung, bool $asGiven): BuiltSession
    {
        $later = [];
        foreach ($this->reserved as $ordinal => $sets) {
            if ($ordinal > $day->ordinal) {
                $later = [...$later, ...$sets];
            }
        }
        $others = array_values(array_filter($this->otherPlans, fn (CostedSet $set): bool => $set->day >= $day->ordinal));
        $frame = new SessionFrame(
            on: $day,
            session: self::sessionId($day->ordinal),
            price: $this->price,
            readiness: $day->equals($this->ask->from) ? $this->today : $this->calm,
            record: $this->record,
            limits: $this->limits,
            otherPlans: [...$later, ...$others],
            layoff: Layoff::of($this->record, $day, $rung, $this->price),
            throwing: $this->throwing,
        );

        return SessionBuilder::build($frame, $rung, $asGiven, $this->ask->minutes);
    }

    private static function sessionId(int $day): string
    {
        return "season {$day}";
    }

    /**
     * @param  list<CostedSet>|null  $sets  of a match; null: what the session costs
     */
    private function add(
        Day $day, ?Emphasis $emphasis = null, ?Rung $rung = null, ?int $stage = null, bool $clearance = false,
        ?Pace $pace = null, ?BuiltSession $built = null, ?array $sets = null, ?MatchEvent $match = null, ?int $matchReps = null,
    ): void {
        if ($sets === null) {
            $working = array_filter($built->blocks ?? [], fn (BlockPlan $block): bool => $block->reps > 0);
            $sets = array_values(
                array_map(fn (BlockPlan $block): CostedSet => $block->cost($day, self::sessionId($day->ordinal), $this->price), $working),
            );
        }
        $sameDay = array_values(array_filter($this->otherPlans, fn (CostedSet $set): bool => $set->day === $day->ordinal));
        $fullest = null;
        foreach ($this->limits->board($day, $this->record)->hardTouchedBy($sets)->states([...$sameDay, ...$sets]) as $state) {
            if ($fullest === null || $state->share() > $fullest->share()) {
                $fullest = $state;
            }
        }
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
