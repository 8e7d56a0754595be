<?php

declare(strict_types=1);

namespace App\Sessions;

use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Returns\ReturnSteps;
use App\Returns\ReturnsUnderWay;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;

/** Closes a sheet, once or again; what was done of a return's stage becomes an attempt at it. */
final class FinishSheet
{
    /** @param  array<string, mixed>  $given  validated minutes and session RPE; finishing again changes only these */
    public static function by(User $by, Sheet $sheet, array $given): void
    {
        Alone::with($sheet->athlete_id, function () use ($sheet, $given, $by): void {
            $sheet->update([
                ...$given,
                'state' => 'finished',
                'finished_at' => $sheet->finished_at ?? now()->toIso8601String(),
            ]);
            $open = OpenSheet::of($sheet);
            self::recordAttempt($open, $by);
            AthletesChanged::one($open->athlete, $open->day());
        });
    }

    private static function recordAttempt(OpenSheet $open, User $by): void
    {
        $sheet = $open->sheet;
        $return = $sheet->return_stage === null ? null : $sheet->playReturn()->first();
        $block = $sheet->blocks()->where('judged', true)->first();
        if ($return === null || $block === null) {
            return;
        }
        $done = array_filter(TapFold::standing($sheet->taps()), fn (Tap $rep): bool => $rep->blockId === $block->id);
        $judged = array_filter($done, fn (Tap $rep): bool => $rep->verdict === 'good' || $rep->verdict === 'not_good');
        $good = array_filter($judged, fn (Tap $rep): bool => $rep->verdict === 'good');
        app(ReturnSteps::class)->recordAttempt(
            $sheet, ReturnsUnderWay::word($return, $open->readiness()), count($done),
            $judged === [] ? null : count($good) / count($judged), $by,
        );
    }
}
