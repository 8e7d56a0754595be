<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One name of the roll call. */
#[OA\Schema]
final readonly class RollCallRowView
{
    public function __construct(
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property(enum: ['full', 'unknown', 'reduced', 'none', 'refer'])]
        public string $word,
        #[OA\Property]
        public string $why,
        #[OA\Property]
        public ?string $answered_at,
        /** of today's latest report, while it may be taken back */
        #[OA\Property]
        public ?string $report_id,
        /** day of the last report before today */
        #[OA\Property]
        public ?string $last_answer,
        /** whether a session yesterday waits for its morning report */
        #[OA\Property]
        public bool $morning_after,
        #[OA\Property]
        public ?string $ill,
        #[OA\Property]
        public bool $has_link,
    ) {}
}
