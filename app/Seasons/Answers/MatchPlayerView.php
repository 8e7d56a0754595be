<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

use App\Athletes\Answers\AthleteCardView;

/** One of the squad, as a match sees them. */
final readonly class MatchPlayerView
{
    public function __construct(
        public AthleteCardView $athlete,
        public bool $plays,
        /** why not to be lined up; null: may play */
        public ?string $blocked,
        /** @var array<string, int> repetitions expected, by skill */
        public array $expected,
        /** @var array<string, int> repetitions on record as a match on that day, by skill */
        public array $counted,
        /** @var array<string, int|null> repetitions left on the day before a hard limit is full, by skill; null: no limit is set */
        public array $left,
    ) {}
}
