<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** A key position as joint angles, degrees; 0 hangs down, positive swings towards the target. */
final readonly class FigurePoseView
{
    public function __construct(
        public string $name,
        public string $text,
        public float $trunk,
        /** @var list<float> upper arm, forearm */
        public array $throwing_arm,
        /** @var list<float> */
        public array $front_arm,
        /** @var list<float> thigh, shin */
        public array $front_leg,
        /** @var list<float> */
        public array $back_leg,
        /** off the ground, in heads */
        public float $lift,
        /** in the throwing hand */
        public ?string $tool,
    ) {}
}
