<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** One observable thing. */
final readonly class CheckpointView
{
    public function __construct(
        public string $name,
        public string $good,
        /** @var list<string> what good looks like in each school; any of them passes */
        public array $variants,
    ) {}
}
