<?php

declare(strict_types=1);

namespace Augendo\Core\Devices;

use Augendo\Core\Day;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\WorkSet;

/**
 * What counters saw of their wearer on a day outside every session, beside the work that was told of that day. Until somebody says what
 * the rest was, it is as hard as the hardest of their work could be. Only work of the arm stands against it: jumps are no throws.
 */
final readonly class OutsideWork
{
    /** Days around, on whose sheets it is looked up what somebody does. */
    public const AROUND_DAYS = 60;

    private function __construct(public SeenAndTapped $counted) {}

    /**
     * @param  list<int>  $seen  by each counter
     * @param  list<array{Skill, int}>  $told  repetitions that were told of
     */
    public static function of(array $seen, array $told): self
    {
        $ofTheArm = array_filter($told, fn (array $set): bool => $set[0]->arm > 0.0);

        return new self(SeenAndTapped::of($seen, array_sum(array_column($ofTheArm, 1))));
    }

    /**
     * @param  non-empty-list<Skill>  $skills  that the wearer is known to do; where none is known, all there are
     * @return WorkSet|null the load of what nobody spoke of; null: there is nothing beyond what was told
     */
    public function load(Day $day, string $session, array $skills): ?WorkSet
    {
        if ($this->counted->beyond() === 0) {
            return null;
        }
        usort($skills, fn (Skill $a, Skill $b): int => [$b->arm, $b->id] <=> [$a->arm, $a->id]);

        return WorkSet::ordinarily($day, $session, $skills[0], $this->counted->beyond(), null);
    }
}
