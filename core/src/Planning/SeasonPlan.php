<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\Library\Rung;

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
     * @param  Pace|null  $reached  the dose of the last heavy day before the season's first
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
        public ?Pace $reached,
        public LearningRate $rate,
    ) {}

    /**
     * What each day holds of the rung that is stood on. Moving on is the coach's act: until then a day that was planned for a rung above it
     * holds the dose reached so far, as heavy as the day is.
     *
     * @return array<int, Pace|null> by ordinal of the day; null where it is not of the ladder, or nothing was reached
     */
    public function pacesOn(Rung $rung): array
    {
        $reached = $this->reached;
        $paces = [];
        foreach ($this->days as $day) {
            if ($day->pace === null || $day->emphasis === null) {
                $paces[$day->day->ordinal] = null;
            } elseif ($day->rung?->id === $rung->id) {
                $paces[$day->day->ordinal] = $day->pace;
                $reached = $day->emphasis === Emphasis::Heavy ? $day->pace : $reached;
            } else {
                $paces[$day->day->ordinal] = $reached?->lighter($rung->ownDose(), $day->emphasis);
            }
        }

        return $paces;
    }
}
