<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\NamedView;

/** An athlete’s scores. */
final readonly class ScoresView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @format date */
        public string $date,
        /** @var list<ScoreLadderView> those the athlete stands on */
        public array $ladders,
        /** how many scores are not shown because where it lands is not looked at on their ladder now */
        public int $hidden,
        /** @var list<ScoreSeriesView> */
        public array $series,
        /** @var list<NamedView> boxes of the courts, by “court:box” as a setup names them */
        public array $boxes,
        /** @var list<NamedView> what may be thrown off the ladders */
        public array $skills,
    ) {}
}
