<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\BoundView;
use App\Http\Views\CourtsideBlockView;
use App\Http\Views\CourtsideView;
use App\Http\Views\DoseView;
use App\Http\Views\FaultView;
use App\Http\Views\NamedView;
use App\Http\Views\NeighbourView;
use App\Http\Views\PatternBoundsView;
use App\Http\Views\RepEventView;
use App\Http\Views\ReportedView;
use App\Http\Views\RotationView;
use App\Models\RepEvent;
use App\Models\Sheet;
use App\Models\SheetBlock;
use App\Models\User;
use App\Records\ReadinessBook;
use App\Records\SheetDesk;
use App\Records\StationDesk;
use App\Wording\Wording;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Checkpoint;
use Augendo\Core\Library\Fault;
use Augendo\Core\Limits\Gauge;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Side;
use Augendo\Core\Mechanics\FaultPattern;
use Augendo\Core\Mechanics\Nudge;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\DoseChoice;
use Augendo\Core\Planning\StationPlan;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\Word;

/** What courtside takes along: the core's answers computed ahead, so that no rule runs in the browser. */
final class CourtsideScreen
{
    public static function view(SheetDesk $desk, User $user): CourtsideView
    {
        $sheet = $desk->sheet;
        $frame = $desk->frame();
        $plans = $desk->plans();
        $doses = array_map(fn (BlockPlan $plan): array => DoseChoice::around($plan, $frame->effortCap($frame->wordFor($plan)), $user->pace_m, $sheet->return_stage === null), $plans);
        // Bounds of everything a block can become.
        $budget = $frame->budget(self::bothSides(array_values(array_filter(array_merge([], ...$doses), fn (BlockPlan $plan): bool => $plan->reps > 0))));
        $mirror = $desk->side()->mirror(...);
        $blocks = [];
        foreach ($sheet->blocks as $i => $block) {
            if ($plans[$i]->reps > 0) {
                $blocks[] = self::block($desk, $block, $doses[$i], $budget);
            }
        }
        $readiness = $desk->readiness();
        [$rotation, $neighbours] = self::around($sheet, $user);

        return new CourtsideView(
            $sheet->id, $sheet->trainingSession->title, $desk->day()->iso(), $sheet->state, Parts::athlete($desk->athlete, $desk->day()),
            Parts::rungOf($desk), $desk->rung()->outcomeIgnored, $readiness->word->value, $desk->ladder()->cautions, $blocks,
            array_map(fn (Gauge $gauge): BoundView => Parts::bound($gauge), $budget),
            array_map(fn (Fault $fault): FaultView => new FaultView($fault->id, $fault->name, $mirror($fault->cue), $mirror($fault->drill), $fault->safety, $fault->checkpoint), $desk->rung()->faults),
            new PatternBoundsView(FaultPattern::LAST, FaultPattern::LEAST_FAULTS, FaultPattern::LEAST_SHARE, Nudge::RETURNS_TIMES, Nudge::RETURNS_OF, Nudge::WINDOW, Nudge::FALL),
            $sheet->events->map(fn (RepEvent $event): RepEventView => self::event($event))->all(),
            self::sorenessWords($readiness),
            $neighbours,
            $blocks === [] ? 'Nothing counted is left today. '.implode(' ', array_slice(array_column($sheet->trims, 'sentence'), 0, 3)) : null,
            Parts::emergency($desk->athlete->id), Parts::returnOf($desk)?->sentence,
            array_map(fn (Checkpoint $checkpoint): NamedView => new NamedView($checkpoint->id, $checkpoint->name), $desk->rung()->checkpoints),
            $user->pace_m, $rotation, Parts::conflicts($sheet, $user), array_map(fn (SorenessReport $report): ReportedView => new ReportedView($report->site->value, $report->side, $report->kind->value, $report->score), (new ReadinessBook([$desk->athlete], $desk->day()))->today($desk->athlete)),
        );
    }

    private static function event(RepEvent $event): RepEventView
    {
        return new RepEventView($event->id, $event->block_id, $event->set_no, $event->kind, $event->target_id, $event->verdict, $event->fault, $event->side, $event->at, $event->seq, $event->note, $event->effort, $event->distance_m, $event->seen, $event->device);
    }

    /** @return array{RotationView|null, list<NeighbourView>} the stations this athlete goes to, and who else is in the session, own group first */
    private static function around(Sheet $sheet, User $user): array
    {
        $others = Sheet::query()->with('athlete')->where('training_session_id', $sheet->training_session_id)->get();
        $groups = [];
        $rotation = null;
        if ($sheet->trainingSession->stations !== null) {
            $plan = StationDesk::open($sheet->trainingSession, $user)->plan();
            foreach ($plan->groups as $i => $group) {
                foreach ($group as $athlete) {
                    $groups[$athlete->id] = $i;
                }
            }
            $own = $groups[$sheet->athlete_id] ?? null;
            if ($own !== null && $plan->stations !== []) {
                $walk = array_map(fn (array $round): ?string => ($at = array_search($own, $round, true)) === false ? null : $plan->stations[$at]->title, $plan->rounds);
                $rotation = new RotationView($sheet->training_session_id, $plan->rotationMin, StationPlan::CHANGE_OVER_MIN, array_values(array_filter($walk)));
            }
        }
        $own = $groups[$sheet->athlete_id] ?? null;

        return [$rotation, $others->sortBy(fn (Sheet $other): array => [($groups[$other->athlete_id] ?? null) === $own ? 0 : 1, $groups[$other->athlete_id] ?? 99, $other->id])
            ->map(fn (Sheet $other): NeighbourView => new NeighbourView($other->id, $other->athlete->given_name, $other->state, isset($groups[$other->athlete_id]) ? $groups[$other->athlete_id] + 1 : null))->values()->all()];
    }

    /**
     * @param  non-empty-list<BlockPlan>  $doses
     * @param  list<Gauge>  $budget
     */
    private static function block(SheetDesk $desk, SheetBlock $block, array $doses, array $budget): CourtsideBlockView
    {
        $plan = $doses[0];
        $dose = $plan->asked;

        return new CourtsideBlockView(
            $block->id, Wording::blockKind($dose->kind), $dose->title, $desk->side()->mirror($dose->text), $plan->repsBySet(),
            $dose->side->value, $plan->effort, $plan->distanceM, Wording::object($dose->object), $dose->restS, $dose->holdS, $dose->judged,
            ! $desk->rung()->outcomeIgnored && in_array($dose->kind, [BlockKind::Target, BlockKind::GameLike, BlockKind::Whole], true) && $dose->skill->family !== Family::Jump,
            array_map(fn (BlockPlan $each): DoseView => self::dose($desk, $each, $budget), $doses),
        );
    }

    /** @param  list<Gauge>  $budget */
    private static function dose(SheetDesk $desk, BlockPlan $plan, array $budget): DoseView
    {
        $costs = [];
        foreach (Side::cases() as $side) {
            $oneRep = (new BlockPlan($plan->asked->onSide($side), $plan->sets, $plan->reps, $plan->effort, $plan->distanceM))->oneRep($desk->day(), $desk->sheet->id, $desk->frame()->price);
            $costs = [...$costs, ...Parts::costs($oneRep, $side, $budget)];
        }
        // A rest day owed or an effort too high is not a budget: one repetition already breaks it.
        $refused = $desk->refusals([$plan->withReps(1)]);

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
                $both["{$i}|{$side->value}"] = new BlockPlan($plan->asked->onSide($side), $plan->sets, $plan->reps, $plan->effort, $plan->distanceM);
            }
        }

        return $both;
    }

    /** @return array<string, list<string>> by kind, the word for scores 0 to 10 */
    private static function sorenessWords(Readiness $readiness): array
    {
        $words = [];
        foreach (Kind::cases() as $kind) {
            $words[$kind->value] = array_map(function (int $score) use ($readiness, $kind): string {
                $word = $readiness->school->wordOf($kind, $score);

                return ($kind === Kind::Muscle && $score >= 3 && $word !== Word::Refer ? $word->oneWorse($kind) : $word)->value;
            }, range(0, 10));
        }

        return $words;
    }
}
