<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** Where it landed, and what that comes to. */
final readonly class GroupingView
{
    public function __construct(
        /** @var list<string> x and y, metres from the aim */
        public array $points,
        public float $across_m,
        public float $along_m,
        public float $mean_radial_error_m,
        public float $half_circle_m,
        /** @var list<float> half axes that hold 50 and 90 %, and the angle of the long one, degrees */
        public array $ellipses,
        public string $sentence,
        /** @var list<OutcomeHintView> none while there are fewer than ten points */
        public array $hints,
    ) {}
}
