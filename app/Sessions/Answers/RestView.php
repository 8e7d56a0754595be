<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** Somebody without work in a round. */
final readonly class RestView
{
    public function __construct(
        public string $athlete_id,
        public string $name,
        /** @var list<string> drills that cost no limit */
        public array $then,
    ) {}
}
