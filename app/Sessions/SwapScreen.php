<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Health\ReadinessAnswers;
use App\Sessions\Answers\AskAgainView;
use App\Sessions\Answers\SwapLineView;
use App\Sessions\Answers\SwapStateView;
use App\Sessions\Answers\SwapView;
use App\Wording\SheetWording;
use App\Wording\Wording;
use Augendo\Core\Library\Library;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\OtherWork;
use Augendo\Core\Planning\Trim;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\Word;

/** What took the work of the day away, and what is left to do instead. */
final class SwapScreen
{
    /** @param  list<BlockPlan>  $plans  of the sheet, as they are looked at */
    public static function state(OpenSheet $open, array $plans): ?SwapStateView
    {
        $state = SwapWork::state($open, $plans);

        return $state === null ? null : new SwapStateView($state, $open->sheet->swappedBy());
    }

    public static function view(OpenSheet $open): SwapView
    {
        if (SwapWork::state($open, $open->plans()) !== 'due') {
            return new SwapView(
                version: $open->sheet->version,
                due: false,
                why: [],
                asks: [],
                instead: SwapWork::STANDS,
                lines: [],
                out: [],
                objects_out: [],
                minutes: null,
            );
        }
        $work = $open->otherWork();
        $lines = [];
        foreach ($work->inOrder() as [$plan, , $added]) {
            $lines[] = self::line($open, $plan, $work, $added);
        }

        return new SwapView(
            version: $open->sheet->version,
            due: true,
            why: self::why($open),
            asks: array_map(
                fn (SorenessReport $report): AskAgainView => self::ask($report, $open->sheet->state === 'running'),
                SwapWork::toAskAgain($open),
            ),
            instead: SheetWording::instead($work, $open->readiness(), $open->athlete->given_name),
            lines: $lines,
            out: array_values(array_map(fn (BlockPlan $plan): string => $plan->asked->title, $work->out)),
            objects_out: array_map(
                fn (string $id): string => Wording::object(app(Library::class)->objects()[$id]),
                $work->objectsOut(),
            ),
            minutes: $work->minutes(),
        );
    }

    /** @return list<string> */
    private static function why(OpenSheet $open): array
    {
        $wording = app(SheetWording::class);
        $said = array_map(fn (SheetNote $note): string => $wording->note($note, $open->sheet), array_filter(
            $open->sheet->notes(),
            fn (SheetNote $note): bool => in_array($note->why, ['way_back', 'way_back_elsewhere', 'room'], true)
                || ($note->why === 'trim' && ($note->figures['what'] ?? null) === 'dropped'),
        ));
        // “Nothing sore” explains nothing where the hall, a limit or a way back took the work.
        $word = $open->readiness()->word === Word::Full && $said !== [] ? [] : [ReadinessAnswers::why($open->readiness())];

        return array_values(array_unique([...$word, ...$said]));
    }

    private static function ask(SorenessReport $report, bool $running): AskAgainView
    {
        return new AskAgainView(
            said: Wording::report($report).'.',
            site: $report->site->value,
            side: $report->side,
            kind: $report->kind->value,
            score: $report->score,
            moment: ($running ? Moment::During : Moment::Before)->value,
        );
    }

    /** @param  int|null  $added  position among the added ones; null: it stood on the sheet */
    private static function line(OpenSheet $open, BlockPlan $plan, OtherWork $work, ?int $added): SwapLineView
    {
        $dose = $plan->asked;
        $source = $added === null ? null : $work->sources[$added];
        $trims = $added === null ? [] : array_filter($work->trims, fn (Trim $trim): bool => $trim->block === $added);

        return new SwapLineView(
            kind_name: Wording::blockKind($dose->kind),
            title: $dose->title,
            text: $open->side()->mirror($dose->text),
            sets: $plan->repsBySet(),
            effort: $plan->reps === 0 ? null : $plan->effort,
            distance_m: $plan->distanceM,
            hold_s: $dose->holdS,
            object: Wording::object($dose->object),
            judged: $dose->judged,
            from: $source === null
                ? null
                : app(SheetWording::class)->source($source->from, $source->ladder, $source->rung, $source->name),
            trims: array_values(array_map(fn (Trim $trim): string => Wording::trim($trim, $open->day()), $trims)),
        );
    }
}
