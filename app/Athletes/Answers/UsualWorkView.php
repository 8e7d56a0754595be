<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** A part of a usual week, as it was said. */
final readonly class UsualWorkView
{
    public function __construct(
        public string $skill,
        public int $reps,
        /** @var 'easy'|'middling'|'hard'|null null: not known, counted as full effort */
        public ?string $felt,
    ) {}
}
