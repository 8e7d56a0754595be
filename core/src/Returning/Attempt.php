<?php

declare(strict_types=1);

namespace Augendo\Core\Returning;

use Augendo\Core\Day;

/** One go at a stage of a return. */
final readonly class Attempt
{
    /**
     * @param  int  $stage  from 0
     * @param  int  $during  worst soreness while working, 0 to 10
     * @param  bool  $eased  whether it eased in the warm-up
     * @param  int|null  $nextMorning  soreness the next morning, null until reported
     * @param  bool  $jointSore  any joint score from 1, which the strict school does not take as clean
     */
    public function __construct(
        public Day $day,
        public int $stage,
        public bool $completed,
        public int $during,
        public bool $eased,
        public ?int $nextMorning,
        public bool $redFlag,
        public bool $jointSore = false,
    ) {}

    public function isStopEvent(): bool
    {
        return $this->redFlag || $this->during >= 5 || ($this->nextMorning ?? 0) >= 5;
    }

    public function isSore(): bool
    {
        $during = $this->during === 3 || $this->during === 4;

        return ($during && ! $this->eased) || $this->nextMorning === 3 || $this->nextMorning === 4;
    }

    /** An unreported morning is not a clean one. */
    public function isClean(): bool
    {
        return $this->completed
            && ! $this->redFlag
            && ! $this->jointSore
            && $this->during <= 2
            && $this->nextMorning !== null
            && $this->nextMorning <= 2;
    }
}
