<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

use App\Athletes\Answers\AthleteCardView;

/** What counting a match needs with no connection. */
final readonly class MatchCountView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @format date */
        public string $date,
        /** of the match of the day, when one is declared */
        public string $title,
        /** of the calendar, where there is one today */
        public ?string $match_id,
        /** one repetition counts at this effort */
        public float $effort,
        /** @var list<MatchSkillView> */
        public array $skills,
        /** @var list<BoundView> */
        public array $bounds,
        public ?string $emergency,
        /** @var list<string> ids of today’s logged work that is taken off the bounds already */
        public array $logged,
    ) {}
}
