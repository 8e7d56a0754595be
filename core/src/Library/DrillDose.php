<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Load\Skill;
use Augendo\Core\Load\Surface;

/** What the drill of a fault is done with, how often and how hard: its price is its own, not that of the block it mends. */
final readonly class DrillDose
{
    /**
     * @param  int  $reps  a set
     * @param  float  $effort  0 to 1
     * @param  int|null  $holdS  seconds each repetition is held
     * @param  Surface|null  $surface  null: the floor of the block it mends
     */
    public function __construct(
        public Skill $skill,
        public LibraryObject $object,
        public int $reps,
        public float $effort,
        public ?float $distanceM,
        public ?int $holdS,
        public ?Surface $surface,
        public int $legs,
        public ?float $dropCm,
    ) {}
}
