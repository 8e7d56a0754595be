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
     * @param  list<ExpectedRung>  $expected  the rungs up to the goal, in order
     * @param  list<int>  $lightWeeks  numbers of the lighter weeks, from 0
     * @param  Day|null  $taperFrom  first day of the last ones before the goal
     * @param  Carried  $carried  what the doses were begun from
     * @param  float  $growsTo  of the repetitions of each rung
     * @param  LearningRate  $rate  at which rungs are expected
     */
    public function __construct(
        public SeasonAsk $ask,
        public array $days,
        public ?string $rungAtGoal,
        public ?Day $returnDone,
        public array $problems,
        public array $expected,
        public array $lightWeeks,
        public ?Day $taperFrom,
        public Carried $carried,
        public float $growsTo,
        public LearningRate $rate,
    ) {}
}
