<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\Handedness;

/** Somebody in a squad's session, as the stations need to know them. */
final readonly class StationAthlete
{
    /**
     * @param  string  $ladder  who climbs the same ladder is kept together
     * @param  int  $level  position on it, from 0
     * @param  list<BlockPlan>  $blocks  the athlete's own doses, fitted
     * @param  int  $lateMinutes  0: there from the start
     */
    public function __construct(
        public string $id,
        public string $name,
        public Handedness $hand,
        public string $ladder,
        public int $level,
        public array $blocks,
        public int $lateMinutes = 0,
    ) {}

    /** @return list<BlockPlan> what there is to do at a station */
    public function at(Station $station): array
    {
        return array_values(
            array_filter(
                $this->blocks,
                fn (BlockPlan $block): bool => in_array($block->asked->kind, $station->kinds, true) && $block->reps > 0,
            ),
        );
    }

    /** The furthest of the athlete's doses, metres; 0 without one. */
    public function reachM(): float
    {
        return max([0.0, ...array_map(fn (BlockPlan $block): float => $block->reps > 0 ? (float) $block->distanceM : 0.0, $this->blocks)]);
    }
}
