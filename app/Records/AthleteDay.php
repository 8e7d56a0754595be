<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Athlete;
use App\Models\Squad;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Readiness\Readiness;

/** Everything that is known of one athlete on one day: load, limits, word, ladders and returns. */
final class AthleteDay
{
    public readonly Squad $squad;

    public readonly AthleteLoad $load;

    public readonly ReadinessBook $health;

    public readonly Readiness $readiness;

    public readonly ReturnBook $returns;

    public readonly LimitCalendar $limits;

    public readonly LimitBook $limitBook;

    public readonly LadderBook $ladders;

    public function __construct(public readonly Athlete $athlete, public readonly Day $on, ?Squad $squad = null)
    {
        $library = app(Library::class);
        $this->squad = $squad ?? $athlete->squads()->orderBy('squads.id')->firstOrFail();
        $this->load = app(LoadBook::class)->for([$athlete], $on)[$athlete->id];
        $this->health = new ReadinessBook([$athlete], $on);
        $this->readiness = $this->health->readiness($athlete, $this->squad);
        $this->returns = new ReturnBook([$athlete], $on);
        $this->limitBook = new LimitBook([$athlete], $this->squad, $on, $this->returns);
        $this->limits = $this->limitBook->of($athlete->id, $this->load);
        $this->ladders = new LadderBook([$athlete], $on, $library, $this->health);
    }
}
