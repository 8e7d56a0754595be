<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** What a report made while working would mean for each block. */
final readonly class StopsView
{
    public function __construct(
        /** @var list<string> site|side, in the order of the rows */
        public array $places,
        /** @var array<string, string> each moment by the one it reads as */
        public array $moments,
        /** @var list<StopFromView> */
        public array $rows,
    ) {}
}
