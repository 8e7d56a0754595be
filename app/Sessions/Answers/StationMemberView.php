<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\AthleteCardView;

/** Somebody in the session. */
final readonly class StationMemberView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @var 'full'|'unknown'|'reduced'|'none'|'refer' */
        public string $word,
        public string $sheet_id,
        public int $late_minutes,
        /** 0 to 1: own work as a share of the time from the first round to the last; null without work */
        public ?float $own_share,
        /** the same with drills between turns */
        public float $useful_share,
        /** @var list<string> doses without a place, each with why */
        public array $left_out,
        /** nothing is left of the work they are there for */
        public bool $swap,
    ) {}
}
