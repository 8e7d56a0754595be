<?php

declare(strict_types=1);

namespace App\Returns;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Athletes\Cards;
use App\Returns\Answers\ReturnRefView;
use App\Sessions\OpenSheet;
use App\Wording\ReturnWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Returning\StageWork;
use Augendo\Core\Returning\StepAsked;

/** Returns as other pages point at them. */
final class ReturnRefs
{
    public static function of(PlayReturn $return, Athlete $athlete, Day $on, StageWork $work): ReturnRefView
    {
        $stages = $return->programmeAsOpened()->stages;
        [$awaited, $from] = $return->state === 'open' ? ReturnWording::awaited($return, $work) : ['nothing', 'nobody'];

        return new ReturnRefView(
            id: $return->id,
            athlete: Cards::athlete($athlete, $on),
            programme: $return->programmeAsOpened()->name,
            site: trim("{$return->side} ".Wording::site($return->site)),
            stage: $return->stage + 1,
            of: count($stages),
            stage_name: $stages[$return->stage]->name,
            action: $return->state === 'open' ? $work->step->action : $return->state,
            sentence: $return->state === 'open' ? ReturnWording::sentence($return, StepAsked::of($work)) : (
                $return->state === 'done'
                    ? 'Done on '.Wording::day(Day::of(substr($return->ended_on, 0, 10))).'. The weeks after stay lighter.'
                    : "Closed: {$return->end_reason}"
            ),
            awaited: $awaited,
            awaited_from: $from,
            not_before: $return->state === 'open' ? $work->notBefore?->iso() : null,
            state: $return->state,
        );
    }

    /** The return a sheet belongs to, as it stands on its day or on another. */
    public static function ofSheet(OpenSheet $open, ?Day $on = null): ?ReturnRefView
    {
        $return = $open->sheet->return_id === null ? null : $open->sheet->playReturn()->first();
        if ($return === null) {
            return null;
        }
        $day = new AthleteDay($open->athlete, $on ?? $open->day(), $open->squad);

        return self::of($return, $open->athlete, $day->on, $day->returns->work($return, $day->readiness));
    }
}
