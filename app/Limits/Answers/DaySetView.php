<?php

declare(strict_types=1);

namespace App\Limits\Answers;

use Augendo\Core\Load\Side;

/** One set as it was done. */
final readonly class DaySetView
{
    public function __construct(
        public string $what,
        public string $source,
        /** nobody said what it took: as it was expected */
        public bool $estimated,
        public int $reps,
        public ?float $effort,
        public ?float $distance_m,
        /** @var value-of<Side> */
        public string $side,
        public float $arm,
        public float $hand,
        public float $trunk,
        public float $landings,
    ) {}
}
