<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\AthleteCardView;

/** Somebody in a group, with an own dose at each station. */
final readonly class StationMemberView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @var 'full'|'unknown'|'reduced'|'none'|'refer' */
        public string $word,
        public string $sheet_id,
        /** the names of the pair */
        public string $with,
        public int $late_minutes,
        /** from 0 */
        public int $joins_round,
        /** @var array<string, string>|\stdClass by station: the dose in words, or what to do instead */
        public array|\stdClass $doses,
    ) {}
}
