<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

use Augendo\Core\Day;
use Augendo\Core\Library\SizeTables;

/** What the arithmetic needs to know of an athlete. */
final readonly class AthleteProfile
{
    /**
     * @param  array<string, float>  $longestThrowM  longest measured throw by skill id, metres
     * @param  array<string, float>  $referenceSpeedMs  reference speed by skill id, metres per second
     * @param  list<string>  $lapsedThrows  skills whose longest throw was measured too long ago: every throw of theirs counts as full
     * @param  array<string, array<string, string>>  $schools  how they are taught, by ladder id; answers by question, as Library\Schools
     * @param  array<string, array<string, float>>  $carriesM  by skill and object, how far the fastest throw on record carries, metres: of
     *                                                        throws without a longest one. It tells what is no easy throw, and prices
     *                                                        nothing
     * @param  float|null  $handSpanCm  of the throwing hand, from the thumb to the little finger; null: not measured
     * @param  SizeTables|null  $sizes  what is thrown at which age and by which hand; null: as the ladders say
     * @param  array<string, string>  $ownSizes  ids of the objects chosen for the athlete, by table
     */
    public function __construct(
        public ?Day $birthDate,
        public array $longestThrowM = [],
        public array $referenceSpeedMs = [],
        public array $lapsedThrows = [],
        public array $schools = [],
        public array $carriesM = [],
        public ?float $handSpanCm = null,
        public ?SizeTables $sizes = null,
        public array $ownSizes = [],
    ) {}

    /** Whole years on that day; null when the birth date is not known. */
    public function ageOn(Day $day): ?int
    {
        return $this->birthDate === null ? null : $day->ageOf($this->birthDate);
    }
}
