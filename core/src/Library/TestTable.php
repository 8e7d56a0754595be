<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Day;
use Augendo\Core\Load\Skill;

/** What is tested, how, and how often. */
final readonly class TestTable
{
    /**
     * @param  int  $fromDays  after the last test, from which the next may be planned
     * @param  int  $byDays  after the last test, by which it should be
     * @param  float  $leastEffortBefore  0 to 1, that the last heavy day must have reached
     * @param  list<TestProtocol>  $protocols
     * @param  float  $sidesDiffer  share of the better side by which the other may fall behind before it is said
     * @param  array<string, SideMeasure>  $sides  by id
     * @param  string  $source  who says so
     */
    public function __construct(
        public int $fromDays,
        public int $byDays,
        public float $leastEffortBefore,
        public array $protocols,
        public float $sidesDiffer,
        public array $sides,
        public string $source,
    ) {}

    /** @return TestProtocol|null null where nothing of the skill is measured */
    public function for(Skill $skill): ?TestProtocol
    {
        foreach ($this->protocols as $protocol) {
            if (in_array($skill->family, $protocol->families, true)) {
                return $protocol;
            }
        }

        return null;
    }

    /**
     * Whether a heavy day may be a test day instead: the first heavy days after a lighter week are the freshest, and are waited for as long
     * as there is time.
     *
     * @param  Day|null  $last  of the last test that still holds; null: none does
     */
    public function isDue(Day $on, ?Day $last, bool $afterLighterWeek): bool
    {
        $days = $last === null ? null : $on->daysSince($last);

        return $days === null || $days >= ($afterLighterWeek ? $this->fromDays : $this->byDays);
    }

    /**
     * The side that falls behind the other by more than is ordinary.
     *
     * @return float|null share of the better side it falls behind by; null where the two are alike
     */
    public function behind(float $one, float $other): ?float
    {
        $better = max($one, $other);
        $behind = $better <= 0.0 ? 0.0 : ($better - min($one, $other)) / $better;

        return $behind > $this->sidesDiffer + 1e-9 ? $behind : null;
    }
}
