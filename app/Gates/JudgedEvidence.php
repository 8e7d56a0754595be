<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Courtside\RepLog;
use App\Sessions\Sheet;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Day;
use Augendo\Core\Mechanics\FocusPoints;
use Augendo\Core\Mechanics\JudgedRep;

/** The judged repetitions of whole sheets, read from their taps. */
final class JudgedEvidence
{
    /** @return list<JudgedRep> of the last sessions on a rung before a day, in order: what focus points come from */
    public static function lately(Athlete $athlete, string $ladder, string $rung, Day $before): array
    {
        return Sheet::query()
            ->with(['blocks', 'events'])
            ->where('athlete_id', $athlete->id)
            ->where('ladder', $ladder)
            ->where('rung', $rung)
            ->whereNull('return_stage')
            ->where('state', 'finished')
            ->where('held_on', '<', $before->iso())
            ->orderByDesc('held_on')
            ->limit(FocusPoints::SESSIONS)
            ->get()
            ->reverse()
            ->flatMap(fn (Sheet $sheet): array => self::of($sheet, app(RepLog::class)->safetyFaults($sheet)))->values()->all();
    }

    /**
     * The repetitions of a sheet that are evidence: those of judged blocks, done on the side they ask for.
     *
     * @param  list<string>  $safetyFaults
     * @return list<JudgedRep>
     */
    public static function of(Sheet $sheet, array $safetyFaults): array
    {
        return TapFold::judged(TapFold::evidence(TapFold::standing($sheet->taps()), $sheet->judgedSides()), $safetyFaults);
    }
}
