<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Cards;
use App\Courtside\Answers\FaultView;
use App\Gates\RungAnswers;
use App\Health\ReadinessAnswers;
use App\Limits\Tapes;
use App\Returns\ReturnRefs;
use App\Sessions\Answers\BlockView;
use App\Sessions\Answers\SheetView;
use App\Wording\SheetWording;
use App\Wording\Wording;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Fault;
use Augendo\Core\Load\Channel;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\SessionClock;
use Augendo\Core\Readiness\Word;
use Illuminate\Support\Facades\DB;

/** What, in what order, how much, and why not more. */
final class SheetScreen
{
    /** @param  list<BlockPlan>|null  $plans edited doses to look at before they are saved; null for the sheet as it is */
    public static function view(OpenSheet $open, ?array $plans = null): SheetView
    {
        $sheet = $open->sheet;
        $on = $open->day();
        $kept = $plans === null;
        $plans ??= $open->plans();
        $done = DB::table('work_sets')
            ->where('session', $sheet->id)
            ->groupBy('block_id')
            ->selectRaw('block_id, sum(reps) as reps')
            ->pluck('reps', 'block_id');
        $readiness = $open->readiness();
        $notes = array_filter(
            $sheet->notes(),
            fn (SheetNote $note): bool => $kept
                || $note->block === null
                || ! self::differs($sheet->blocks[$note->block] ?? null, $plans[$note->block] ?? null),
        );
        $words = self::words($notes, $sheet);

        return new SheetView(
            $sheet->id, $sheet->version, $sheet->state, $on->iso(), $sheet->trainingSession->title, $sheet->trainingSession->starts_at,
            Cards::athlete($open->athlete, $on), RungAnswers::rungOf($open),
            $open->side()->mirror($open->rung()->goal), $open->rung()->outcomeIgnored,
            $open->isAhead() ? Word::Unknown->value : $readiness->word->value,
            $open->isAhead() ? 'Planned as if nothing were sore; fitted anew to the word of the day.' : ReadinessAnswers::why($readiness),
            $open->ladder()->cautions,
            array_map(
                fn (SheetBlock $block, BlockPlan $plan, int $i): BlockView => self::block(
                    $open, $block, $plan, $plans, $i, (int) ($done[$block->id] ?? 0), $words[$i] ?? [],
                ),
                $sheet->blocks->all(),
                $plans,
                array_keys($plans),
            ),
            [...($sheet->stale ? [SheetWording::WAITS_TO_BE_FITTED] : []), ...($words['sheet'] ?? [])],
            Tapes::inPlay($open->frame()->states($plans), $on),
            $sheet->state === 'finished' ? [] : EditSheet::refusals($open, $plans),
            $open->ruleSet()->notice, self::stillPossible($open), ReturnRefs::ofSheet($open),
            array_map(
                fn (Fault $fault): FaultView => new FaultView(
                    $fault->id, $fault->name, $open->side()->mirror($fault->cue), $open->side()->mirror($fault->drill),
                    $fault->safety, $fault->checkpoint,
                ),
                $open->focus(),
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
     * @param  list<string>  $notes
     */
    private static function block(
        OpenSheet $open, SheetBlock $block, BlockPlan $plan, array $plans, int $position, int $done, array $notes,
    ): BlockView {
        $dose = $plan->asked;
        $word = $open->frame()->wordFor($plan);
        $headroom = $dose->reps === 0 || ! $word->allowsWork() ? null : $open->frame()->headroom($plans, $position);

        return new BlockView(
            $block->id, $dose->kind->value, Wording::blockKind($dose->kind), $dose->title, $open->side()->mirror($dose->text),
            $dose->skill->id, Wording::object($dose->object), $dose->side->value, $dose->surface?->value,
            $plan->sets, $plan->reps, $plan->repsBySet(), $dose->sets, $dose->sets * $dose->reps, $plan->effort, $dose->effort,
            $plan->distanceM, $dose->distanceM, $dose->restS, $dose->holdS, $dose->judged, $dose->reps > 0,
            $word->value, $open->frame()->effortCap($word), $word->allowsWork() ? $headroom?->reps : 0,
            $headroom === null ? [] : array_map(fn ($limit): string => $limit->label, $headroom->binding), $done,
            $notes,
        );
    }

    /** @return list<string> what may still be trained, when something may not */
    private static function stillPossible(OpenSheet $open): array
    {
        $readiness = $open->readiness();
        $free = array_values(
            array_filter(Channel::cases(), fn (Channel $channel): bool => $readiness->channels[$channel->value]->allowsWork()),
        );
        if (count($free) === count(Channel::cases()) || $free === []) {
            return [];
        }
        $possible = array_filter(
            $open->rung()->blocks,
            fn (BlockDose $dose): bool => $dose->reps > 0
                && $readiness->forWork($dose->loadedChannels(), $open->athlete->throwing_side->bodySide($dose->side))->allowsWork(),
        );

        return [
            $possible === []
                ? 'Nothing counted on this rung is free of the sore part. Footwork without the swing, watching and calling are.'
                : 'Still possible today: '.implode(', ', array_map(fn (BlockDose $dose): string => lcfirst($dose->title), $possible)).'.',
        ];
    }

    /**
     * @param  array<SheetNote>  $notes
     * @return array<int|'sheet', list<string>> by position of the block; of the whole sheet under "sheet"
     */
    private static function words(array $notes, Sheet $sheet): array
    {
        $wording = app(SheetWording::class);
        $words = [];
        foreach ($notes as $note) {
            $words[$note->block ?? 'sheet'][] = $wording->note($note, $sheet);
        }

        return $words;
    }
}
