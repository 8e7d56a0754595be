<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Gates\Standings;
use App\Health\DayReadiness;
use App\Limits\AthleteLimits;
use App\Limits\AthleteLoad;
use App\Returns\ReturnsUnderWay;
use Augendo\Core\Day;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Readiness\Readiness;

/** Everything that is known of one athlete on one day: load, limits, word, ladders and returns. */
final class AthleteDay
{
    public readonly Squad $squad;

    public readonly AthleteLoad $load;

    public readonly DayReadiness $health;

    public readonly Readiness $readiness;

    public readonly ReturnsUnderWay $returns;

    public readonly LimitCalendar $limits;

    public readonly AthleteLimits $limitBook;

    public readonly Standings $ladders;

    public function __construct(public readonly Athlete $athlete, public readonly Day $on, ?Squad $squad = null)
    {
        $this->squad = $squad ?? $athlete->squads()->orderBy('squads.id')->firstOrFail();
        $day = new AthletesDay([$athlete], $this->squad, $on);
        $this->load = $day->loads[$athlete->id];
        $this->health = $day->health;
        $this->readiness = $day->readiness($athlete);
        $this->returns = $day->returns;
        $this->limitBook = $day->limitBook;
        $this->limits = $day->limits($athlete);
        $this->ladders = $day->standings;
    }
}
