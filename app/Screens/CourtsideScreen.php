<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\BoundView;
use App\Http\Views\CostView;
use App\Http\Views\CourtsideBlockView;
use App\Http\Views\CourtsideView;
use App\Http\Views\FaultView;
use App\Http\Views\NeighbourView;
use App\Http\Views\PatternBoundsView;
use App\Http\Views\RepEventView;
use App\Models\RepEvent;
use App\Models\Sheet;
use App\Models\SheetBlock;
use App\Records\SheetDesk;
use App\Wording\Wording;
use Augendo\Core\Library\Fault;
use Augendo\Core\Limits\Gauge;
use Augendo\Core\Load\Side;
use Augendo\Core\Mechanics\FaultPattern;
use Augendo\Core\Mechanics\Nudge;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Word;
use Illuminate\Support\Facades\DB;

/** What courtside takes along: the core's answers computed ahead, so that no rule runs in the browser. */
final class CourtsideScreen
{
    public static function view(SheetDesk $desk): CourtsideView
    {
        $sheet = $desk->sheet;
        $frame = $desk->frame();
        $plans = $desk->plans();
        $counted = array_values(array_filter($plans, fn (BlockPlan $plan): bool => $plan->reps > 0));
        $budget = $frame->budget(self::bothSides($counted));
        $mirror = $desk->athlete->throwing_side->mirror(...);
        $blocks = [];
        foreach ($sheet->blocks as $i => $block) {
            if ($plans[$i]->reps > 0) {
                $blocks[] = self::block($desk, $block, $plans[$i], $budget);
            }
        }
        $readiness = $desk->readiness();

        return new CourtsideView(
            $sheet->id, $sheet->trainingSession->title, $desk->day()->iso(), $sheet->state, Parts::athlete($desk->athlete, $desk->day()),
            Parts::rungOf($desk), $desk->rung()->outcomeIgnored, $readiness->word->value, $desk->ladder()->cautions, $blocks,
            array_map(fn (Gauge $gauge): BoundView => self::bound($gauge), $budget),
            array_map(fn (Fault $fault): FaultView => new FaultView($fault->id, $fault->name, $mirror($fault->cue), $mirror($fault->drill), $fault->safety), $desk->rung()->faults),
            new PatternBoundsView(FaultPattern::LAST, FaultPattern::LEAST_FAULTS, FaultPattern::LEAST_SHARE, Nudge::RETURNS_TIMES, Nudge::RETURNS_OF, Nudge::WINDOW, Nudge::FALL),
            $sheet->events->map(fn (RepEvent $event): RepEventView => self::event($event))->all(),
            self::sorenessWords($readiness),
            Sheet::query()->with('athlete')->where('training_session_id', $sheet->training_session_id)->get()
                ->map(fn (Sheet $other): NeighbourView => new NeighbourView($other->id, $other->athlete->given_name, $other->state))->all(),
            $blocks === [] ? 'Nothing counted is left today. '.implode(' ', array_slice(array_column($sheet->trims, 'sentence'), 0, 3)) : null,
            self::emergency($desk->athlete->id), Parts::returnOf($desk)?->sentence,
        );
    }

    private static function emergency(string $athleteId): ?string
    {
        $intake = DB::table('intakes')->where('athlete_id', $athleteId)->first(['emergency_contact', 'emergency_plan']);

        return trim(implode("\n", array_filter([$intake?->emergency_contact, $intake?->emergency_plan]))) ?: null;
    }

    private static function event(RepEvent $event): RepEventView
    {
        return new RepEventView($event->id, $event->block_id, $event->set_no, $event->kind, $event->target_id, $event->verdict, $event->fault, $event->side, $event->at, $event->seq, $event->note);
    }

    /** @param  list<Gauge>  $budget */
    private static function block(SheetDesk $desk, SheetBlock $block, BlockPlan $plan, array $budget): CourtsideBlockView
    {
        $dose = $plan->asked;
        $costs = [];
        foreach (self::bothSides([$plan]) as $side => $mirrored) {
            $oneRep = $mirrored->oneRep($desk->day(), $desk->sheet->id, $desk->frame()->price);
            foreach ($budget as $gauge) {
                if ($gauge->limit->measure !== null && $gauge->limit->touches($oneRep)) {
                    $costs[] = new CostView($side, $gauge->limit->id, $oneRep->cost[$gauge->limit->measure->value]);
                }
            }
        }
        // A rest day owed or an effort too high is not a budget: one repetition already breaks it.
        $refused = $desk->refusals([$plan->withReps(1)]);

        return new CourtsideBlockView(
            $block->id, Wording::blockKind($dose->kind), $dose->title, $desk->athlete->throwing_side->mirror($dose->text), $plan->repsBySet(),
            $dose->side->value, $plan->effort, $plan->distanceM, Wording::object($dose->object), $dose->restS, $dose->holdS, $dose->judged, $costs,
            $refused === [] ? null : implode(' ', $refused),
        );
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
                $key = count($plans) === 1 ? $side->value : "{$i}|{$side->value}";
                $both[$key] = new BlockPlan($plan->asked->onSide($side), $plan->sets, $plan->reps, $plan->effort, $plan->distanceM);
            }
        }

        return $both;
    }

    private static function bound(Gauge $gauge): BoundView
    {
        $state = $gauge->read([]);

        return new BoundView(
            $gauge->limit->id, $gauge->limit->label, Wording::unit($gauge->limit), (float) $gauge->allowance,
            (float) $state->max, (float) $state->used,
        );
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
