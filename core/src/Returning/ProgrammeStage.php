<?php

declare(strict_types=1);

namespace Augendo\Core\Returning;

use Augendo\Core\Load\Surface;

/** One stage: its dose, how often it must be passed, and what else it asks. */
final readonly class ProgrammeStage
{
    /**
     * @param  'own'|'shadow'  $object  the object of the athlete's own rung, or nothing in the hand
     * @param  float  $effort  0 to 1
     * @param  float|null  $distanceShare  of the athlete's longest throw
     * @param  list<StageCriterion>  $criteria  measured before the stage is left
     * @param  bool  $isMatchPlay  a match is the work of this stage: whoever stands on it may be in a line-up
     * @param  float|null  $targetRate  share of judged repetitions that must be good for the stage to count as completed
     */
    public function __construct(
        public string $name,
        public string $text,
        public int $sets,
        public int $reps,
        public float $effort,
        public ?float $distanceShare,
        public string $object,
        public ?Surface $surface,
        public int $legs,
        public int $restS,
        public int $passes,
        public int $minGapDays,
        public bool $needsClearance,
        public array $criteria,
        public ?float $targetRate,
        public bool $isMatchPlay = false,
    ) {}
}
