<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A dose in a line: repetitions of each set, and what. */
final readonly class DoseLineView
{
    public function __construct(
        /** @var list<int> empty where nothing is counted */
        public array $sets,
        public string $what,
        public bool $judged,
    ) {}
}
