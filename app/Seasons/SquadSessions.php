<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Athlete;
use App\Sessions\MakeSheets;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Augendo\Core\Day;
use Augendo\Core\Planning\SquadDays;
use Augendo\Core\Planning\SquadSession;
use Illuminate\Support\Facades\DB;

/** The sessions of an athlete's squads over some weeks, and the days a season on a ladder trains on with them. */
final class SquadSessions
{
    public static function days(Athlete $athlete, string $ladder, Day $from, Day $to): SquadDays
    {
        $span = [$from->iso(), $to->iso()];
        $sheets = Sheet::query()
            ->where('athlete_id', $athlete->id)
            ->where('ladder', $ladder)
            ->whereBetween('held_on', $span)
            ->get(['training_session_id', 'state'])
            // Somebody whose work was swapped has a sheet that was called off, and the one that took its place.
            ->sortBy(fn (Sheet $sheet): bool => $sheet->state !== Sheet::CALLED_OFF)
            ->keyBy('training_session_id');
        $usual = MakeSheets::standing($athlete->id)->first()?->ladder;
        $squads = DB::table('athlete_squad')->where('athlete_id', $athlete->id)->pluck('squad_id');
        $sessions = TrainingSession::query()
            ->where('extra', false)
            ->where(fn ($all) => $all->whereIn('squad_id', $squads)->orWhereIn('id', $sheets->keys()))
            ->where(fn ($all) => $all->whereBetween('held_on', $span)->orWhereBetween('first_on', $span))
            ->get();

        return SquadDays::of($sessions->map(fn (TrainingSession $session): SquadSession => new SquadSession(
            on: $session->day(),
            firstOn: $session->first_on === null ? null : Day::of(substr($session->first_on, 0, 10)),
            worksOnIt: $session->ladders === null ? $ladder === $usual : in_array($ladder, $session->ladders, true),
            isOff: $session->isOff(),
            hasSheets: $session->has_sheets,
            takesPart: isset($sheets[$session->id]) ? $sheets[$session->id]->state !== Sheet::CALLED_OFF : null,
        ))->values()->all());
    }
}
