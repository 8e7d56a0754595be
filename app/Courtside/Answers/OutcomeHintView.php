<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** How large a target about the aim has to be for a wanted success rate, from the grouping. */
final readonly class OutcomeHintView
{
    public function __construct(
        public float $share,
        public float $radius_m,
    ) {}
}
