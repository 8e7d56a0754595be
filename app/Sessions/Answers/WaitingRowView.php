<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** An athlete whose row of Today is not worked out yet. */
final readonly class WaitingRowView
{
    public function __construct(
        public string $athlete_id,
        public string $name,
    ) {}
}
