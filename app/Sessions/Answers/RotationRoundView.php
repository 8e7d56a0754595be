<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A round of the session's clock, as one athlete goes through it. */
final readonly class RotationRoundView
{
    public function __construct(
        /** from the beginning of the first round */
        public int $starts_min,
        public int $minutes,
        /** where, and what there */
        public string $what,
    ) {}
}
