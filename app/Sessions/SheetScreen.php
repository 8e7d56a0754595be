<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Cards;
use App\Courtside\Answers\FaultView;
use App\Gates\RungAnswers;
use App\Health\ReadinessAnswers;
use App\Limits\Tapes;
use App\People\User;
use App\Returns\ReturnRefs;
use App\Sessions\Answers\BlockView;
use App\Sessions\Answers\SheetView;
use App\Wording\LadderWording;
use App\Wording\SchoolWording;
use App\Wording\SheetWording;
use App\Wording\ThrowWording;
use App\Wording\Wording;
use Augendo\Core\Library\Fault;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\SessionClock;
use Augendo\Core\Readiness\Word;

/** What, in what order, how much, and why not more. */
final class SheetScreen
{
    /** @param  list<array<string, mixed>>  $blocks  the sheet as it is to be, to look at before it is saved: see SheetDraft */
    public static function preview(OpenSheet $open, array $blocks, User $user): SheetView
    {
        SheetDraft::of($open, $blocks)->onto($open->sheet);

        return self::view($open, $user);
    }

    public static function view(OpenSheet $open, User $user): SheetView
    {
        $sheet = $open->sheet;
        $on = $open->day();
        $plans = $open->plans();
        $done = $sheet->doneByBlock();
        $readiness = $open->readiness();
        $words = self::words($sheet);

        return new SheetView(
            id: $sheet->id,
            version: $sheet->version,
            state: $sheet->state,
            held_on: $on->iso(),
            title: $sheet->trainingSession->title,
            starts_at: $sheet->trainingSession->starts_at,
            athlete: Cards::athlete($open->athlete, $on),
            rung: RungAnswers::rungOf($open),
            rung_goal: $open->side()->mirror($open->rung()->goal),
            outcome_ignored: $open->rung()->outcomeIgnored,
            taught_by: SchoolWording::taught($open->taughtBy()),
            word: $open->isAhead() ? Word::Unknown->value : $readiness->word->value,
            why: $open->isAhead()
                ? 'Planned as if nothing were sore; fitted anew to the word of the day.'
                : ReadinessAnswers::why($readiness),
            cautions: $open->ladder()->cautions,
            blocks: array_map(
                fn (SheetBlock $block, BlockPlan $plan, int $i): BlockView => self::block(
                    open: $open,
                    block: $block,
                    plan: $plan,
                    plans: $plans,
                    position: $i,
                    done: $done[$block->id] ?? 0,
                    notes: $words[$i] ?? [],
                ),
                $sheet->blocks->all(),
                $plans,
                array_keys($plans),
            ),
            trims: [...($sheet->stale ? [SheetWording::WAITS_TO_BE_FITTED] : []), ...($words['sheet'] ?? [])],
            tapes: Tapes::inPlay($open->frame()->states($plans), $on),
            broken: $sheet->state === 'finished' ? [] : EditSheet::refusals($open, $plans, $open->doneByPosition()),
            rule_notice: $open->ruleSet()->notice,
            swap: SwapScreen::state($open, $plans),
            return: ReturnRefs::ofSheet($open),
            focus: array_map(
                fn (Fault $fault): FaultView => FaultView::of($fault, $open->side(), $open->figures()),
                $open->focus(),
            ),
            minutes: (int) ceil(SessionClock::seconds($plans) / 60),
            session_id: $sheet->training_session_id,
            notes: CoachNotes::before($sheet->trainingSession, [$sheet->athlete_id], $user),
        );
    }

    /**
     * @param  list<BlockPlan>  $plans
     * @param  list<string>  $notes
     */
    private static function block(
        OpenSheet $open, SheetBlock $block, BlockPlan $plan, array $plans, int $position, int $done, array $notes,
    ): BlockView {
        $dose = $plan->asked;
        $word = $open->frame()->wordFor($plan);
        $headroom = $dose->reps === 0 || ! $word->allowsWork() ? null : $open->frame()->headroom($plans, $position);

        return new BlockView(
            id: $block->id,
            kind: $dose->kind->value,
            kind_name: Wording::blockKind($dose->kind),
            place: $dose->kind->place(),
            title: $dose->title,
            text: $open->side()->mirror($dose->text),
            skill: $dose->skill->id,
            object: Wording::object($dose->object),
            object_id: $dose->object->id,
            lands: $dose->skill->landingsPerRep > 0.0,
            side: $dose->side->value,
            surface: $dose->surface?->value,
            sets: $plan->sets,
            reps: $plan->reps,
            reps_by_set: $plan->repsBySet(),
            asked_sets: $dose->sets,
            asked_reps: $dose->sets * $dose->reps,
            effort: $plan->effort,
            asked_effort: $dose->effort,
            distance_m: $plan->distanceM,
            asked_distance_m: $dose->distanceM,
            throw_asks: ThrowWording::asks($plan, $open->frame()->price),
            rest_s: $dose->restS,
            hold_s: $dose->holdS,
            how: LadderWording::manner($dose->manner),
            judged: $dose->judged,
            counted: $dose->reps > 0,
            word: $word->value,
            effort_cap: $open->frame()->effortCap($word),
            headroom: $word->allowsWork() ? $headroom?->reps : 0,
            plenty: $word->allowsWork() && $headroom?->isPlenty() === true,
            binding: $headroom === null ? [] : array_map(fn ($limit): string => $limit->label, $headroom->binding),
            done_reps: $done,
            trims: $notes,
        );
    }

    /** @return array<int|'sheet', list<string>> by position of the block; of the whole sheet under "sheet" */
    private static function words(Sheet $sheet): array
    {
        $wording = app(SheetWording::class);
        $words = [];
        foreach ($sheet->notes() as $note) {
            $words[$note->block ?? 'sheet'][] = $wording->note($note, $sheet);
        }

        return $words;
    }
}
