<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** A rung of a ladder with what the athlete did on it. */
final readonly class RungView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $goal,
        /** @var 'held'|'current'|'ahead' */
        public string $state,
        public ?string $entered_on,
        public ?string $decision,
        public int $observed,
        public int $good,
    ) {}
}
