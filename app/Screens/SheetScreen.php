<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\BlockView;
use App\Http\Views\FaultView;
use App\Http\Views\SheetView;
use App\Models\SheetBlock;
use App\Records\SheetDesk;
use App\Wording\PlanWording;
use App\Wording\Wording;
use Augendo\Core\Library\Fault;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\SessionClock;
use Augendo\Core\Readiness\Word;
use Illuminate\Support\Facades\DB;

/** What, in what order, how much, and why not more. */
final class SheetScreen
{
    /** @param  list<BlockPlan>|null  $plans edited doses to look at before they are saved; null for the sheet as it is */
    public static function view(SheetDesk $desk, ?array $plans = null): SheetView
    {
        $sheet = $desk->sheet;
        $on = $desk->day();
        $kept = $plans === null;
        $plans ??= $desk->plans();
        $done = DB::table('work_sets')
            ->where('session', $sheet->id)
            ->groupBy('block_id')
            ->selectRaw('block_id, sum(reps) as reps')
            ->pluck('reps', 'block_id');
        $readiness = $desk->readiness();
        $trims = array_filter(
            $sheet->trims,
            fn (array $trim): bool => $kept
                || $trim['block'] === null
                || ! self::differs($sheet->blocks[$trim['block']] ?? null, $plans[$trim['block']] ?? null),
        );

        return new SheetView(
            $sheet->id, $sheet->version, $sheet->state, $on->iso(), $sheet->trainingSession->title, $sheet->trainingSession->starts_at,
            Parts::athlete($desk->athlete, $on), Parts::rungOf($desk),
            $desk->side()->mirror($desk->rung()->goal), $desk->rung()->outcomeIgnored,
            $desk->isAhead() ? Word::Unknown->value : $readiness->word->value,
            $desk->isAhead() ? 'Planned as if nothing were sore; fitted anew to the word of the day.' : Parts::why($readiness),
            $desk->ladder()->cautions,
            array_map(
                fn (SheetBlock $block, BlockPlan $plan, int $i): BlockView => self::block(
                    $desk, $block, $plan, $plans, $i, (int) ($done[$block->id] ?? 0), $trims,
                ),
                $sheet->blocks->all(),
                $plans,
                array_keys($plans),
            ),
            [
                ...($sheet->stale ? [PlanWording::WAITS_TO_BE_FITTED] : []),
                ...array_values(
                    array_map(
                        fn (array $trim): string => $trim['sentence'],
                        array_filter($trims, fn (array $trim): bool => $trim['block'] === null),
                    ),
                ),
            ],
            Tapes::inPlay($desk->frame()->states($plans), $on),
            $sheet->state === 'finished' ? [] : $desk->refusals($plans),
            $desk->ruleSet()->notice, $desk->swaps(), Parts::returnOf($desk),
            array_map(
                fn (Fault $fault): FaultView => new FaultView(
                    $fault->id, $fault->name, $desk->side()->mirror($fault->cue), $desk->side()->mirror($fault->drill),
                    $fault->safety, $fault->checkpoint,
                ),
                $desk->focus(),
            ),
            (int) ceil(SessionClock::seconds($plans) / 60), $sheet->training_session_id,
        );
    }

    private static function differs(?SheetBlock $block, ?BlockPlan $plan): bool
    {
        return $block === null || $plan === null || $block->reps !== $plan->reps || $block->sets !== $plan->sets
            || abs($block->effort - $plan->effort) > 1e-9 || $block->distance_m != $plan->distanceM;
    }

    /**
     * @param  list<BlockPlan>  $plans
     * @param  array<array{block: int|null, sentence: string}>  $trims
     */
    private static function block(
        SheetDesk $desk, SheetBlock $block, BlockPlan $plan, array $plans, int $position, int $done, array $trims,
    ): BlockView {
        $dose = $plan->asked;
        $word = $desk->frame()->wordFor($plan);
        $headroom = $dose->reps === 0 || ! $word->allowsWork() ? null : $desk->frame()->headroom($plans, $position);

        return new BlockView(
            $block->id, $dose->kind->value, Wording::blockKind($dose->kind), $dose->title, $desk->side()->mirror($dose->text),
            $dose->skill->id, Wording::object($dose->object), $dose->side->value, $dose->surface?->value,
            $plan->sets, $plan->reps, $plan->repsBySet(), $dose->sets, $dose->sets * $dose->reps, $plan->effort, $dose->effort,
            $plan->distanceM, $dose->distanceM, $dose->restS, $dose->holdS, $dose->judged, $dose->reps > 0,
            $word->value, $desk->frame()->effortCap($word), $word->allowsWork() ? $headroom?->reps : 0,
            $headroom === null ? [] : array_map(fn ($limit): string => $limit->label, $headroom->binding), $done,
            array_values(
                array_map(
                    fn (array $trim): string => $trim['sentence'],
                    array_filter($trims, fn (array $trim): bool => $trim['block'] === $position),
                ),
            ),
        );
    }
}
