<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Gates\Standings;
use App\Health\DayReadiness;
use App\Limits\AthleteLimits;
use App\Limits\AthleteLoad;
use App\Limits\AthleteLoads;
use App\Returns\ReturnsUnderWay;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
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
        $library = app(Library::class);
        $this->squad = $squad ?? $athlete->squads()->orderBy('squads.id')->firstOrFail();
        $this->load = app(AthleteLoads::class)->for([$athlete], $on)[$athlete->id];
        $this->health = new DayReadiness([$athlete], $on);
        $this->readiness = $this->health->readiness($athlete, $this->squad);
        $this->returns = new ReturnsUnderWay([$athlete], $on);
        $this->limitBook = new AthleteLimits([$athlete], $this->squad, $on, $this->returns);
        $this->limits = $this->limitBook->of($athlete->id, $this->load);
        $this->ladders = new Standings([$athlete], $on, $library, $this->health);
    }
}
