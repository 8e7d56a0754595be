<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use Augendo\Core\Day;
use Augendo\Core\Planning\Claim;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * Sheets that wait to be fitted: something changed since (they are marked), or their day has come and they were made ahead of it. A coach's
 * own edits stay. Fitting twice, late, or after somebody started changes nothing that stands.
 */
final class RefitPlans
{
    /** A look asks for the same keeping once in so many seconds. */
    private const ASK_AGAIN_S = 30;

    /**
     * Fits every sheet of an athlete that waits for it: whatever holds its room first, and then what gives way to it. One that got another
     * dose leaves others waiting, each of which gives way to it, so this comes to an end.
     */
    public static function ofAthlete(string $athleteId): void
    {
        $athlete = Athlete::query()->with('workspace')->find($athleteId);
        if ($athlete === null) {
            return;
        }
        $fitted = [];
        while (($sheet = self::next($athleteId, $athlete->workspace->today(), $fitted)) !== null) {
            FitSheet::now($sheet);
            $fitted[] = $sheet->id;
        }
    }

    /** @param  list<string>  $fitted  in this run: whoever changes one of them meanwhile asks for another run */
    private static function next(string $athleteId, Day $today, array $fitted): ?Sheet
    {
        return Sheet::waiting([$athleteId], $today)
            ->with('trainingSession')
            ->whereNotIn('id', $fitted)
            ->get()
            ->sort(fn (Sheet $a, Sheet $b): int => Claim::inOrder($a->claim(), $b->claim()))
            ->first();
    }

    /** What gives way to a sheet is fitted anew once the sheet is kept: somebody changed what it takes. */
    public static function thatGiveWay(Sheet $sheet): void
    {
        $claim = $sheet->claim();
        $others = Sheet::plannedFrom($sheet->athlete_id, $sheet->trainingSession->squad->workspace->today())->get();
        $giveWay = $others->filter(fn (Sheet $other): bool => $other->claim()->givesWayTo($claim));
        if ($giveWay->isEmpty()) {
            return;
        }
        Sheet::query()->whereKey($giveWay->modelKeys())->where('state', 'planned')->where('edited', false)->update(['stale' => true]);
        RefitSheets::dispatch($sheet->athlete_id)->afterCommit();
    }

    /** A sheet that was just made, or put on another rung, is fitted once that is kept. */
    public static function afterCommit(Sheet $sheet): void
    {
        // Marked, so that the worker does it should this be interrupted in between.
        $sheet->update(['stale' => true]);
        DB::afterCommit(function () use ($sheet): void {
            $kept = Sheet::query()->find($sheet->id);
            if ($kept !== null) {
                FitSheet::now($kept);
            }
        });
    }

    /** The same by the worker, once for all sheets of an athlete that wait. */
    public static function later(Sheet $sheet): void
    {
        $sheet->update(['stale' => true]);
        RefitSheets::dispatch($sheet->athlete_id)->afterCommit();
    }

    /** A sheet whose day has come is shown as it will be kept; the keeping is left to the queue. */
    public static function toLookAt(Sheet $sheet, Day $today): Sheet
    {
        if (! $sheet->waitsForItsDay($today)) {
            return $sheet;
        }
        self::queue([$sheet->athlete_id], $today);

        return FitSheet::toLookAt($sheet);
    }

    /** Before something is written on a sheet of the day, it is fitted to the day: what a look showed is what is there. */
    public static function beforeWriting(Sheet $sheet, Day $today): Sheet
    {
        if ($sheet->waitsForItsDay($today)) {
            FitSheet::now($sheet);
            $sheet->refresh();
        }

        return $sheet;
    }

    /**
     * A look found sheets that wait: it shows what holds and leaves the keeping to the queue.
     *
     * @param  list<string>  $athleteIds
     */
    public static function queue(array $athleteIds, Day $today): void
    {
        foreach (Sheet::waiting($athleteIds, $today)->distinct()->pluck('athlete_id') as $id) {
            if (Cache::add("fit|{$id}", 1, self::ASK_AGAIN_S)) {
                RefitSheets::dispatch($id);
            }
        }
    }
}
