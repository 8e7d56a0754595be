<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** Effort asked against effort implied by speed and distance. */
final readonly class HonestEffortView
{
    public function __construct(
        public string $skill,
        public int $sets,
        public ?float $difference,
        public ?float $low,
        public ?float $high,
        public string $sentence,
    ) {}
}
