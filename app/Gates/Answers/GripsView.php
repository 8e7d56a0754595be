<?php

declare(strict_types=1);

namespace App\Gates\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\NamedView;

/** How an athlete holds the ball, and what it did. */
final readonly class GripsView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @format date */
        public string $today,
        /** @var list<GripView> the latest first */
        public array $grips,
        /** @var list<NamedView> ladders the athlete climbs */
        public array $ladders,
    ) {}
}
