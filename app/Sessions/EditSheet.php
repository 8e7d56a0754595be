<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Http\Problem;
use App\Http\ProblemType;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Wording\ThrowWording;
use App\Wording\Wording;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Readiness\Word;

/** A coach's own doses, held against limits and word before they are kept. */
final class EditSheet
{
    /**
     * @param  list<array<string, mixed>>  $blocks  the sheet as it is to be, in order: see SheetDraft
     *
     * @throws Problem when they are stale, or break a hard limit or the word
     */
    public static function save(Sheet $sheet, array $blocks, int $version): void
    {
        Alone::with($sheet->athlete_id, function () use ($sheet, $blocks, $version): void {
            $sheet->refresh();
            self::refuseStale($sheet, $version);
            self::refuseClosed($sheet);
            $open = OpenSheet::of($sheet);
            self::keep($sheet, $open, SheetDraft::of($open, $blocks));
        });
    }

    /**
     * In the transaction of whoever changes it.
     *
     * @throws Problem when it breaks a hard limit or the word
     */
    public static function keep(Sheet $sheet, OpenSheet $open, SheetDraft $draft): void
    {
        $draft->onto($sheet);
        $refusals = self::refusals($open, $open->plans(), $open->doneByPosition());
        if ($refusals !== []) {
            throw new Problem(ProblemType::OverAHardLimit, implode(' ', $refusals), ['blocks' => $refusals]);
        }
        $draft->keep($sheet);
        RefitPlans::thatGiveWay($sheet);
        AthletesChanged::one($sheet->athlete_id);
    }

    /** @throws Problem when somebody saved the sheet since, or has started it */
    public static function fitAnew(Sheet $sheet, int $version): void
    {
        self::refuseStale($sheet, $version);
        if ($sheet->state !== 'planned') {
            throw new Problem(ProblemType::AlreadyStarted, 'A session that has started is not fitted anew; change its doses instead.');
        }
        FitSheet::now($sheet);
    }

    /** @throws Problem when the session is over, or called off */
    public static function refuseClosed(Sheet $sheet): void
    {
        if ($sheet->state === 'finished') {
            throw new Problem(ProblemType::AlreadyFinished, 'A finished session keeps its doses.');
        }
        if ($sheet->state === Sheet::CALLED_OFF) {
            throw new Problem(ProblemType::Closed, 'This session is called off. Take that back first, on its page.');
        }
    }

    /** @throws Problem when somebody saved the sheet since it was read */
    public static function refuseStale(Sheet $sheet, int $version): void
    {
        if ($version !== $sheet->version) {
            throw new Problem(
                ProblemType::ChangedMeanwhile,
                "Somebody saved this sheet since you opened it (version {$sheet->version}, yours {$version}). "
                    .'Your doses are kept on the screen: look at both, then save again.',
                extra: ['version' => $sheet->version],
            );
        }
    }

    /**
     * Why these doses may not be done: a hard limit, or the word.
     *
     * @param  list<BlockPlan>  $plans
     * @param  array<int, int>  $done  repetitions by position: no more than these is nothing new, whatever the word says by now
     * @return list<string>
     */
    public static function refusals(OpenSheet $open, array $plans, array $done = []): array
    {
        $refusals = [];
        foreach ($open->frame()->broken($plans) as $state) {
            $refusals[] = "{$state->limit->label}: ".Wording::limit($state, $open->day());
        }
        foreach ($plans as $i => $plan) {
            $word = $open->frame()->wordFor($plan);
            if ($plan->reps <= ($done[$i] ?? 0)) {
                continue;
            }
            $title = Wording::blockKind($plan->asked->kind).' “'.$plan->asked->title.'”';
            if (! $word->allowsWork()) {
                $refusals[] = "{$title}: the word is ".Wording::word($word).', this work is not for today.'.(
                    $word === Word::Refer ? ' It waits for a licensed clinician.' : ''
                );
            } elseif ($plan->effort > $open->frame()->effortCap($word) + 1e-9) {
                $refusals[] = "{$title}: at most "
                    .Wording::percent($open->frame()->effortCap($word))
                    .' effort while the word is '
                    .Wording::word($word)
                    .'.';
            } elseif ($open->frame()->isCalledTooEasy($plan)) {
                $refusals[] = "{$title}: ".ThrowWording::tooEasy($plan, $open->frame()->price);
            }
        }

        return array_values(array_unique($refusals));
    }
}
