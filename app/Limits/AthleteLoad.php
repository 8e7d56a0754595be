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
use Augendo\Core\Planning\Claim;
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

    /**
     * @param  Claim  $claim  of the session
     * @param  list<Claim>  $others  what else is planned
     * @param  Rung  $rung  the one the session works on
     * @param  list<string>  $without  sessions that are taken for not planned
     */
    public function frame(
        Claim $claim, array $others, Readiness $readiness, LimitCalendar $limits, Rung $rung, Handedness $throwing, array $without = [],
    ): SessionFrame {
        return new SessionFrame(
            on: $claim->day,
            session: $claim->session,
            price: $this->price,
            readiness: $readiness,
            record: $this->record,
            limits: $limits,
            otherPlans: $without === []
                ? $this->plans
                : array_values(array_filter($this->plans, fn (CostedSet $set): bool => ! in_array($set->session, $without, true))),
            layoff: Layoff::of($this->record, $claim->day, $rung, $this->price),
            throwing: $throwing,
            givingWay: $claim->thatGiveWay($others),
        );
    }
}
