<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Courtside\Answers\BoundView;
use App\Courtside\Answers\CostView;

/** One of the squad, as a match sees them. */
final readonly class MatchPlayerView
{
    public function __construct(
        public AthleteCardView $athlete,
        public bool $plays,
        /** why not to be lined up; null: may play */
        public ?string $blocked,
        /** @var array<string, int>|\stdClass repetitions expected, by skill */
        public array|\stdClass $expected,
        /** @var array<string, int>|\stdClass repetitions on record as a match on that day, by skill */
        public array|\stdClass $counted,
        /** @var list<BoundView> what is left on the day; empty on any other day */
        public array $bounds,
        /** @var array<string, list<CostView>>|\stdClass what one repetition of each skill takes of them */
        public array|\stdClass $costs,
    ) {}
}
