<?php

declare(strict_types=1);

namespace App\Devices;

use App\Athletes\Athlete;
use App\Courtside\DailyTotals;
use App\Courtside\EnteredWork;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Illuminate\Support\Facades\DB;

/** A counter that saw more than was tapped: until somebody says what they were, the larger number is the load. */
final class CounterLoad
{
    public const SOURCE = 'device';

    public function __construct(
        private readonly Library $library,
        private readonly EnteredWork $work,
        private readonly OutsideLoad $outside,
    ) {}

    /**
     * Alone with the athlete.
     *
     * @param  float  $fromS  readings that changed, the first of them
     * @return bool whether their load changed
     */
    public function of(Athlete $athlete, float $fromS, float $untilS): bool
    {
        $changed = false;
        foreach (SessionReadings::sheetsAround($athlete, $fromS, $untilS) as $sheet) {
            $changed = $this->ofSheet($athlete, $sheet) || $changed;
        }
        foreach (self::days($athlete, $fromS, $untilS) as $day) {
            $changed = $this->outside->of($athlete, $day) || $changed;
        }

        return $changed;
    }

    public function ofSheet(Athlete $athlete, Sheet $sheet): bool
    {
        if (! DB::table('readings')->where('athlete_id', $athlete->id)->exists()) {
            return false;
        }
        // One set a sheet, named like it.
        $id = $sheet->id;
        // When a session was is told by its taps, and so what lies outside it.
        $this->outside->of($athlete, $sheet->day());
        $extra = SessionReadings::counted($athlete, $sheet)->beyond();
        $row = DB::table('work_sets')->where('client_id', $id)->where('athlete_id', $athlete->id)->first();
        if ((int) ($row->reps ?? 0) === $extra) {
            return false;
        }
        if ($row !== null) {
            DB::table('work_sets')->where('id', $row->id)->delete();
            DailyTotals::refresh($athlete->id, substr($row->day, 0, 10));
        }
        $block = $extra === 0 ? null : $this->hardest($sheet);
        if ($block !== null) {
            $plan = $block->plan($this->library);
            $this->work->add(
                $athlete, $id, $plan->workSet($sheet->day(), $sheet->id, $extra), self::SOURCE, $block->object, $block->id,
            );
        }

        return true;
    }

    /** @return list<Day> of the club's calendar on which the athlete's counters saw anything then */
    private static function days(Athlete $athlete, float $fromS, float $untilS): array
    {
        $workspace = $athlete->loadMissing('workspace')->workspace;

        return DB::table('readings')
            ->where('athlete_id', $athlete->id)
            ->whereBetween('at_s', [$fromS, $untilS])
            ->pluck('at_s')
            ->map(fn (mixed $at): Day => $workspace->dayAt((float) $at))
            ->unique(fn (Day $day): string => $day->iso())
            ->values()
            ->all();
    }

    /** Nobody knows which of its work they were: the hardest is the strictest. */
    private function hardest(Sheet $sheet): ?SheetBlock
    {
        return $sheet->blocks
            ->filter(fn (SheetBlock $block): bool => $block->asked_reps > 0)
            ->sortByDesc(fn (SheetBlock $block): float => $block->effort)
            ->first();
    }
}
