<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** An effort and distance a block can be run at courtside, with what one repetition of it costs. */
final readonly class DoseView
{
    public function __construct(
        public float $effort,
        public ?float $distance_m,
        /** @var list<CostView> */
        public array $costs,
        /** why it may not be run today */
        public ?string $blocked,
    ) {}
}
