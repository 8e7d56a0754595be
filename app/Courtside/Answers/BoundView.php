<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** A hard limit as a budget for one session: what is left of it before the first repetition. */
final readonly class BoundView
{
    public function __construct(
        public string $limit_id,
        public string $label,
        /** what is so when nothing is left of it, in the middle of a sentence */
        public string $full,
        public string $unit,
        public float $remaining,
        public float $max,
        public float $used,
    ) {}
}
