<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** Where this athlete’s group goes, on the one clock of the session. */
final readonly class RotationView
{
    public function __construct(
        public string $session_id,
        public int $minutes,
        public int $change_over_min,
        /** @var list<string> titles of the stations in the order this group walks them */
        public array $stations,
    ) {}
}
