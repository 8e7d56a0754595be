<?php

declare(strict_types=1);

namespace App\Limits;

use App\Seasons\Fixtures;
use Augendo\Core\Day;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Planning\Layoff;
use Augendo\Core\Planning\SessionFrame;
use Augendo\Core\Readiness\Readiness;

/** One athlete's record and plans, ready for the core. */
final readonly class AthleteLoad
{
    /** @param  list<CostedSet>  $plans  what is planned from the day on, declared matches too */
    public function __construct(
        public AthleteProfile $profile,
        public SetCost $price,
        public LoadRecord $record,
        public array $plans,
        public ?int $age,
        public Fixtures $fixtures,
    ) {}

    /** @return list<CostedSet> */
    public function plansOn(Day $day): array
    {
        return array_values(array_filter($this->plans, fn (CostedSet $set): bool => $set->day === $day->ordinal));
    }

    /** @param  Rung  $rung  the one the session works on */
    public function frame(
        Day $on, string $session, Readiness $readiness, LimitCalendar $limits, Rung $rung, Handedness $throwing,
    ): SessionFrame {
        return new SessionFrame(
            on: $on,
            session: $session,
            price: $this->price,
            readiness: $readiness,
            record: $this->record,
            limits: $limits,
            otherPlans: $this->plans,
            layoff: Layoff::of($this->record, $on, $rung, $this->price),
            throwing: $throwing,
        );
    }
}
