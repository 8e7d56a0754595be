<?php

declare(strict_types=1);

namespace App\Health\Answers;

use App\Athletes\Answers\AthleteCardView;

/** One name of the roll call. */
final readonly class RollCallRowView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @var 'full'|'unknown'|'reduced'|'none'|'refer' */
        public string $word,
        public string $why,
        public ?string $answered_at,
        /** of today's latest report, while it may be taken back */
        public ?string $report_id,
        /** day of the last report before today */
        public ?string $last_answer,
        /** whether a session yesterday waits for its morning report */
        public bool $morning_after,
        public ?string $ill,
        public ?string $away,
        public bool $has_link,
    ) {}
}
