<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** One round of the clock. */
final readonly class SessionRoundView
{
    public function __construct(
        public string $starts_at,
        public string $ends_at,
        public int $minutes,
        /** @var list<RoundPlaceView> */
        public array $places,
        /** @var list<RestView> who has no work, away from all places */
        public array $off,
    ) {}
}
