<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;

/** A season, simulated day by day. No hard limit is over on any of its days because of it. */
final readonly class SeasonPlan
{
    /**
     * @param  SeasonAsk  $ask  as it could be planned; where it differs from what was asked, a problem says so
     * @param  list<SeasonDay>  $days  in order
     * @param  string|null  $rungAtGoal  id of the rung trained last
     * @param  Day|null  $returnDone  the day the way back is expected to end
     * @param  list<SeasonProblem>  $problems
     */
    public function __construct(
        public SeasonAsk $ask,
        public array $days,
        public ?string $rungAtGoal,
        public ?Day $returnDone,
        public array $problems,
    ) {}
}
