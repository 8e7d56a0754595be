<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

use App\Athletes\Answers\AthleteCardView;

/** A season in one line. */
final readonly class SeasonRowView
{
    public function __construct(
        public string $id,
        public AthleteCardView $athlete,
        public string $ladder_name,
        public ?string $goal,
        /** @format date */
        public string $goal_on,
        public ?string $missed,
    ) {}
}
