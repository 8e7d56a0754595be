<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Readiness\Readiness;

/** One of several skills that are planned together for an athlete. */
final readonly class SkillAsk
{
    /**
     * @param  Ladder  $ladder  with the doses of the athlete, landed on the floor of the squad
     * @param  Readiness  $first  the word of its first day
     */
    public function __construct(
        public SeasonAsk $ask,
        public Ladder $ladder,
        public Standing $standing,
        public Readiness $first,
        public ?SeasonReturn $return = null,
    ) {}

    /** Whether a heavy day of the one is a heavy day for what the other loads most. */
    public function sharesAPartWith(self $other, SetCost $price, Day $on): bool
    {
        return in_array($this->part($price, $on), $other->loads(), true) || in_array($other->part($price, $on), $this->loads(), true);
    }

    /** What it loads most. */
    private function part(SetCost $price, Day $on): Channel
    {
        return Carried::channel($this->ladder->rungs[(int) $this->ladder->position($this->standing->rung)], $price, $on);
    }

    /** @return list<Channel> */
    private function loads(): array
    {
        return $this->ladder->rungs[(int) $this->ladder->position($this->standing->rung)]->loadedChannels();
    }
}
