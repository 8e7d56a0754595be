<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** A ladder a score may belong to. */
final readonly class ScoreLadderView
{
    public function __construct(
        public string $id,
        public string $name,
        /** the rung on which where it lands is not looked at yet; null when it counts */
        public ?string $ignored_on,
        /** repetitions tapped courtside on it today */
        public int $tapped_today,
    ) {}
}
