<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** What became of decisions taken for several at once. */
final readonly class DecidedTogetherView
{
    public function __construct(
        public int $kept,
        /** @var list<string> given names of those something arrived for since, so that nothing was decided */
        public array $changed,
    ) {}
}
