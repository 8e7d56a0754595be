<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** Something the record of an athlete says about their plan, with its evidence. A coach takes it or leaves it. */
final readonly class Suggestion
{
    /**
     * @param  float|null  $value  units, repetitions, or effort to take off (0 to 1); null: too few to tell
     * @param  int  $above  cases beyond the bound: mornings, repetitions, sets
     * @param  int  $aboveBad  how many of them were sore, or not good
     * @param  int  $below  cases within it
     * @param  float|null  $bound  units or repetitions that tell the two apart
     * @param  float|null  $low  least of the interval of the difference: a share, or an effort
     * @param  float|null  $confidence  of the interval, 0 to 1
     */
    public function __construct(
        public SuggestionKind $kind,
        public ?float $value,
        public int $above,
        public int $aboveBad,
        public int $below,
        public int $belowBad,
        public ?float $bound = null,
        public ?float $low = null,
        public ?float $high = null,
        public ?float $confidence = null,
    ) {}
}
