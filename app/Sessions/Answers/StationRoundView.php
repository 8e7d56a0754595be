<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** One round of the clock. */
final readonly class StationRoundView
{
    public function __construct(
        public string $starts_at,
        /** @var list<string> by open station */
        public array $groups,
    ) {}
}
