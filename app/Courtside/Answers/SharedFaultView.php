<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** The fault that most of a squad had. */
final readonly class SharedFaultView
{
    public function __construct(
        public string $name,
        /** @var list<string> given names, those first who had it most often */
        public array $who,
        public int $times,
        public string $cue,
        public string $drill,
    ) {}
}
