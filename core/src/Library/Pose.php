<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** A key position, as joint angles to draw it from. Degrees: 0 hangs straight down, positive swings towards the target; the trunk leans. */
final readonly class Pose
{
    /**
     * @param  float  $trunk  from upright, positive towards the target
     * @param  list<float>  $throwingArm  upper arm, forearm
     * @param  list<float>  $frontArm
     * @param  list<float>  $frontLeg  thigh, shin
     * @param  list<float>  $backLeg
     * @param  float  $lift  off the ground, in heads
     * @param  string|null  $tool  what is in the throwing hand: `ball`, `racket`, `javelin` or nothing
     * @param  string|null  $beside  what is stood at, sat on or thrown over
     */
    public function __construct(
        public string $name,
        public string $text,
        public float $trunk,
        public array $throwingArm,
        public array $frontArm,
        public array $frontLeg,
        public array $backLeg,
        public float $lift,
        public ?string $tool,
        public ?string $beside = null,
    ) {}
}
