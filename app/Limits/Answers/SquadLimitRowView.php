<?php

declare(strict_types=1);

namespace App\Limits\Answers;

use App\Athletes\Answers\AthleteCardView;

/** How close an athlete is to which hard limits. */
final readonly class SquadLimitRowView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @var list<TapeView> the closest first */
        public array $tapes,
        /** of the closest, 1 at the limit */
        public float $fullness,
    ) {}
}
