<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** How large a target about the aim has to be for a wanted success rate, from the grouping. */
final readonly class OutcomeHintView
{
    public function __construct(
        public float $share,
        public float $radius_m,
        /** eight times of ten the true one lies between */
        public float $least_m,
        /** null: too few points to bound it */
        public ?float $most_m,
    ) {}
}
