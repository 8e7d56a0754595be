<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** Where this athlete is in each round, on the one clock of the session. */
final readonly class RotationView
{
    public function __construct(
        public string $session_id,
        /** @var list<RotationRoundView> */
        public array $rounds,
    ) {}
}
