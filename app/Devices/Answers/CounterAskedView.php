<?php

declare(strict_types=1);

namespace App\Devices\Answers;

/** A counter that saw more than was tapped: until somebody answers, the larger number is the load. */
final readonly class CounterAskedView
{
    public function __construct(
        public string $athlete,
        public int $seen,
        public int $tapped,
        /** @var list<string> readings that are paired with nothing, and of which nobody has said anything */
        public array $readings,
        public string $said,
    ) {}
}
