<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Answers\NamedView;
use App\Athletes\Cards;
use App\Courtside\Answers\BlockGameView;
use App\Courtside\Answers\BoundView;
use App\Courtside\Answers\CourtsideBlockView;
use App\Courtside\Answers\CourtsideView;
use App\Courtside\Answers\DoseView;
use App\Courtside\Answers\FaultView;
use App\Courtside\Answers\GameView;
use App\Courtside\Answers\PatternBoundsView;
use App\Courtside\Answers\RepEventView;
use App\Courtside\Answers\StopFromView;
use App\Courtside\Answers\StopsView;
use App\Courtside\Answers\TagView;
use App\Flight\Answers\ServeCourtView;
use App\Gates\Grips;
use App\Gates\RungAnswers;
use App\Health\Answers\ReportedView;
use App\Health\DayReadiness;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Library\Answers\TaughtView;
use App\Limits\Bounds;
use App\People\User;
use App\Returns\ReturnRefs;
use App\Sessions\Answers\NeighbourView;
use App\Sessions\Answers\RotationView;
use App\Sessions\EditSheet;
use App\Sessions\OpenSheet;
use App\Sessions\Rounds;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use App\Sessions\SheetNote;
use App\Sessions\Stations;
use App\Wording\LadderWording;
use App\Wording\SchoolWording;
use App\Wording\SheetWording;
use App\Wording\Wording;
use Augendo\Core\Courtside\CountedElsewhere;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Checkpoint;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Tag;
use Augendo\Core\Limits\Gauge;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Side;
use Augendo\Core\Mechanics\FaultPattern;
use Augendo\Core\Mechanics\Nudge;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\DoseChoice;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\StopTable;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Scoring\Round;
use Illuminate\Support\Facades\DB;

/** What courtside takes along: the core's answers computed ahead, so that no rule runs in the browser. */
final class CourtsideScreen
{
    /** Why nothing is left, in so many sentences. */
    private const REASONS_AT_MOST = 3;

    /** @throws Problem when the day of the session has not come */
    public static function view(OpenSheet $open, User $user): CourtsideView
    {
        self::refuseWhatIsNotOn($open);
        $sheet = $open->sheet;
        $frame = $open->frame();
        $plans = $open->plans();
        $doses = array_map(
            fn (BlockPlan $plan): array => DoseChoice::around(
                $plan,
                $frame->effortCap($frame->wordFor($plan)),
                $user->pace_m,
                $sheet->return_stage === null,
            ),
            $plans,
        );
        // Bounds of everything a block can become.
        $budget = $frame->budget(
            self::bothSides(array_values(array_filter(array_merge([], ...$doses), fn (BlockPlan $plan): bool => $plan->reps > 0))),
        );
        $mirror = $open->side()->mirror(...);
        $games = self::games($open);
        $blocks = [];
        foreach ($sheet->blocks as $i => $block) {
            if ($plans[$i]->reps > 0) {
                $blocks[] = self::block($open, $block, $plans[$i], $doses[$i], $budget, $games);
            }
        }
        $readiness = $open->readiness();
        $health = new DayReadiness([$open->athlete], $open->day());
        [$rotation, $neighbours] = self::around($sheet, $user);

        return new CourtsideView(
            sheet_id: $sheet->id,
            session_id: $sheet->training_session_id,
            title: $sheet->trainingSession->title,
            held_on: $open->day()->iso(),
            state: $sheet->state,
            athlete: Cards::athlete($open->athlete, $open->day()),
            rung: RungAnswers::rungOf($open),
            outcome_ignored: $open->rung()->outcomeIgnored,
            word: $readiness->word->value,
            cautions: $open->ladder()->cautions,
            blocks: $blocks,
            bounds: array_map(fn (Gauge $gauge): BoundView => Bounds::answer($gauge), $budget),
            faults: array_map(
                fn (Fault $fault): FaultView => FaultView::of($fault, $open->side(), $open->figures()),
                $open->rung()->faults,
            ),
            pattern: new PatternBoundsView(
                last: FaultPattern::LAST,
                least_faults: FaultPattern::LEAST_FAULTS,
                least_share: FaultPattern::LEAST_SHARE,
                least_each: FaultPattern::LEAST_EACH,
                returns_times: Nudge::RETURNS_TIMES,
                returns_of: Nudge::RETURNS_OF,
                window: Nudge::WINDOW,
                fall: Nudge::FALL,
            ),
            events: $sheet->events->map(fn (RepEvent $event): RepEventView => self::event($event))->all(),
            neighbours: $neighbours,
            stop: $blocks === []
                ? 'Nothing counted is left today. '.self::firstReasons($sheet)
                : null,
            emergency: Cards::emergency($open->athlete->id),
            return_sentence: ReturnRefs::ofSheet($open)?->sentence,
            checkpoints: array_map(
                fn (Checkpoint $checkpoint): NamedView => new NamedView($checkpoint->id, $checkpoint->name),
                $open->rung()->checkpoints,
            ),
            pace_m: $user->pace_m,
            elsewhere_min: CountedElsewhere::STILL_MIN,
            rotation: $rotation,
            conflicts: Conflicts::of($sheet, $user),
            reported: array_map(
                fn (SorenessReport $report): ReportedView => new ReportedView(
                    $report->site->value,
                    $report->side,
                    $report->kind->value,
                    $report->score,
                ),
                $health->today($open->athlete),
            ),
            stops: self::stops($open, $plans, $health),
            reports_known: self::reportsKnown($sheet),
            health: self::heard($sheet),
            refitting: $sheet->stale ? SheetWording::WAITS_TO_BE_FITTED : null,
            after_stop: self::afterStop($open, $health),
            games: $games,
            safe_misses: $open->rung()->safeMisses,
            teaching: TaughtView::of($open->rung()->teaching, $open->side()),
            tags: array_map(fn (Tag $tag): TagView => TagView::of($tag, $open->side()), $open->rung()->tags),
            grips: Grips::names($open->athlete->id, $sheet->ladder),
            taught_by: SchoolWording::taught($open->taughtBy()),
        );
    }

    private static function event(RepEvent $event): RepEventView
    {
        return new RepEventView(
            id: $event->id,
            block_id: $event->block_id,
            set_no: $event->set_no,
            kind: $event->kind,
            target_id: $event->target_id,
            verdict: $event->verdict,
            fault: $event->fault,
            side: $event->side,
            at: $event->at,
            seq: $event->seq,
            note: $event->note,
            effort: $event->effort,
            distance_m: $event->distance_m,
            seen: $event->seen,
            device: $event->device,
        );
    }

    /**
     * @return array{RotationView|null, list<NeighbourView>} where this athlete is in each round, and who else is in the
     *         session, those first who begin in the same place
     */
    private static function around(Sheet $sheet, User $user): array
    {
        $others = Sheet::query()
            ->with('athlete')
            ->where('training_session_id', $sheet->training_session_id)
            ->where('state', '!=', Sheet::CALLED_OFF)
            ->get();
        $rounds = null;
        if ($sheet->trainingSession->stations !== null) {
            $open = Stations::open($sheet->trainingSession, $user);
            $plan = $open->plan();
            $rounds = new Rounds(app(Library::class), $open, $plan, $open->betweenTurns($plan));
        }
        $place = fn (string $athleteId): ?int => $rounds?->beginsAt($athleteId);
        $own = $place($sheet->athlete_id);

        return [$rounds?->rotationOf($sheet->athlete_id), $others->sortBy(
            fn (Sheet $other): array => [
                $place($other->athlete_id) === $own ? 0 : 1,
                $place($other->athlete_id) ?? 99,
                $other->id,
            ],
        )
            ->map(
                fn (Sheet $other): NeighbourView => new NeighbourView(
                    $other->id,
                    $other->athlete->given_name,
                    $other->state,
                    $place($other->athlete_id),
                ),
            )->values()->all()];
    }

    /** @param  list<BlockPlan>  $plans */
    private static function stops(OpenSheet $open, array $plans, DayReadiness $health): StopsView
    {
        $table = $health->stopTable($open->athlete, $open->squad);
        $rows = [];
        foreach (array_filter($plans, fn (BlockPlan $plan): bool => $plan->reps > 0) as $plan) {
            foreach (Side::cases() as $side) {
                $load = self::load($plan->asked)."|{$side->value}";
                $rows[$load] ??= self::stopRows(
                    $table,
                    $load,
                    $plan->asked->loadedChannels(),
                    $open->athlete->throwing_side->bodySide($side),
                );
            }
        }

        return new StopsView(
            array_map(fn (array $place): string => "{$place[0]->value}|{$place[1]}", $table->places),
            array_merge(
                ...array_map(fn (Moment $moment): array => [$moment->value => StopTable::readsAs($moment)->value], Moment::cases()),
            ),
            array_merge(...array_values($rows)),
        );
    }

    /**
     * @param  list<Channel>  $channels
     * @return list<StopFromView>
     */
    private static function stopRows(StopTable $table, string $load, array $channels, string $bodySide): array
    {
        $rows = [];
        foreach (StopTable::MOMENTS as $moment) {
            foreach (Kind::cases() as $kind) {
                $from = fn (Word $word): string => $table->from($word, $moment, $kind, $channels, $bodySide);
                $rows[] = new StopFromView($load, $moment->value, $kind->value, $from(Word::None), $from(Word::Refer));
            }
        }

        return $rows;
    }

    /** Names what a dose loads. */
    private static function load(BlockDose $dose): string
    {
        return implode(',', array_map(fn (Channel $channel): string => $channel->value, $dose->loadedChannels()));
    }

    /** @return list<string> ids of the reports that these answers know of */
    private static function reportsKnown(Sheet $sheet): array
    {
        return DB::table('soreness_reports')
            ->where('athlete_id', $sheet->athlete_id)
            ->where('day', '>=', $sheet->day()->plus(-1)->iso())
            ->orderBy('id')
            ->pluck('id')
            ->all();
    }

    /** Changes whenever a report, a clearance or a condition comes or goes: another device then asks anew. */
    public static function heard(Sheet $sheet): string
    {
        $of = fn (string $table, string $at): string => implode(
            ' ',
            (array) DB::table($table)->where('athlete_id', $sheet->athlete_id)->selectRaw("count(*) as n, max({$at}) as last")->first(),
        );

        return hash('xxh128', implode('|', [
            $of('soreness_reports', 'received_at'), $of('soreness_reports', 'withdrawn_at'),
            $of('clearances', 'received_at'), $of('known_conditions', 'set_at'), $of('wellness', 'received_at'),
            $of('missing_counts', 'since'),
        ]));
    }

    /** What was tapped although the work had to stop: kept, counted as load, and said. */
    public static function afterStop(OpenSheet $open, DayReadiness $health): ?string
    {
        $stopped = [];
        $reps = 0;
        $first = null;
        $blocks = $open->sheet->blocks->keyBy('id');
        foreach (TapFold::standing($open->sheet->taps()) as $rep) {
            $block = $blocks[$rep->blockId]->dose(app(Library::class));
            $side = $open->athlete->throwing_side->bodySide(Side::from($rep->side));
            $key = self::load($block)."|{$side}";
            if (! array_key_exists($key, $stopped)) {
                $stopped[$key] = $health->stoppedSince($open->athlete, $open->squad, $block->loadedChannels(), $side);
            }
            if ($stopped[$key] !== null && $rep->at->isAfter($stopped[$key])) {
                $reps++;
                $first = $first === null || $first->isAfter($stopped[$key]) ? $stopped[$key] : $first;
            }
        }

        return $first === null ? null : Wording::afterStop($reps, $first);
    }

    /**
     * @param  non-empty-list<BlockPlan>  $doses
     * @param  list<Gauge>  $budget
     * @param  list<GameView>  $games
     */
    private static function block(
        OpenSheet $open, SheetBlock $block, BlockPlan $planned, array $doses, array $budget, array $games,
    ): CourtsideBlockView {
        $plan = $doses[0];
        $dose = $plan->asked;

        return new CourtsideBlockView(
            id: $block->id,
            kind_name: Wording::blockKind($dose->kind),
            title: $dose->title,
            text: $open->side()->mirror($dose->text),
            reps_by_set: $plan->repsBySet(),
            side: $dose->side->value,
            one_sided: $dose->isOneSided(),
            effort: $plan->effort,
            distance_m: $plan->distanceM,
            object: Wording::object($dose->object),
            rest_s: $dose->restS,
            hold_s: $dose->holdS,
            how: LadderWording::manner($dose->manner),
            counts: $dose->manner->counts ?? [],
            alternates: $dose->manner->alternates ?? false,
            judged: $dose->judged,
            warm_up: $dose->kind === BlockKind::WarmUp,
            scored: $open->rung()->scores($dose),
            game: self::game($open, $dose, $games),
            lands: $dose->skill->landingsPerRep > 0.0,
            doses: array_map(fn (BlockPlan $each): DoseView => self::dose($open, $each, $budget), $doses),
            load: self::load($planned->asked),
        );
    }

    /** @param  list<GameView>  $games  the latest first */
    private static function game(OpenSheet $open, BlockDose $dose, array $games): ?BlockGameView
    {
        if (! BlockRounds::mayScore($open->sheet, $open->rung(), $dose)) {
            return null;
        }
        $court = app(BlockRounds::class)->courtOf($dose->skill);

        return new BlockGameView(
            Round::begunWith($games[0]->setup ?? null, $dose->manner?->play, $dose->kind, $court),
            Round::offered($court),
            $court === null ? null : ServeCourtView::of($court),
        );
    }

    /** @return list<GameView> */
    private static function games(OpenSheet $open): array
    {
        return $open->rung()->outcomeIgnored ? [] : Games::of($open->athlete, $open->ladder()->id);
    }

    /** @param  list<Gauge>  $budget */
    private static function dose(OpenSheet $open, BlockPlan $plan, array $budget): DoseView
    {
        $costs = [];
        foreach (Side::cases() as $side) {
            $oneRep = (new BlockPlan($plan->asked->onSide($side), $plan->sets, $plan->reps, $plan->effort, $plan->distanceM))->oneRep(
                $open->day(),
                $open->sheet->id,
                $open->frame()->price,
            );
            $costs = [...$costs, ...Bounds::costs($oneRep, $side, $budget)];
        }
        // A rest day owed or an effort too high is not a budget: one repetition already breaks it.
        $refused = EditSheet::refusals($open, [$plan->withReps(1)]);

        return new DoseView($plan->effort, $plan->distanceM, $costs, $refused === [] ? null : implode(' ', $refused));
    }

    /**
     * @param  list<BlockPlan>  $plans
     * @return array<string, BlockPlan> the same work on each side, for a coach who switches sides courtside
     */
    private static function bothSides(array $plans): array
    {
        $both = [];
        foreach ($plans as $i => $plan) {
            foreach (Side::cases() as $side) {
                $both["{$i}|{$side->value}"] = new BlockPlan(
                    $plan->asked->onSide($side), $plan->sets, $plan->reps, $plan->effort, $plan->distanceM,
                );
            }
        }

        return $both;
    }

    /** @throws Problem when the day of the session has not come, or it was called off */
    private static function refuseWhatIsNotOn(OpenSheet $open): void
    {
        if ($open->sheet->state === Sheet::CALLED_OFF) {
            throw new Problem(
                ProblemType::Closed,
                "{$open->athlete->given_name} is not in this session: it was called off, or the athlete was taken out. Take that back on "
                    .'the page of the session, or plan another one.',
            );
        }
        if ($open->isAhead()) {
            throw new Problem(
                ProblemType::NotToday,
                'This session is planned for '
                    .Wording::day($open->day())
                    .'. To train today, plan a session for today: its doses are fitted to today’s word.',
            );
        }
    }

    private static function firstReasons(Sheet $sheet): string
    {
        $wording = app(SheetWording::class);

        $sentences = array_map(fn (SheetNote $note): string => $wording->note($note, $sheet), $sheet->notes());

        return implode(' ', array_slice(array_unique($sentences), 0, self::REASONS_AT_MOST));
    }
}
