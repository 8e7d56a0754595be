<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Somebody in a group, with an own dose at each station. */
#[OA\Schema]
final readonly class StationMemberView
{
    public function __construct(
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property(enum: ['full', 'unknown', 'reduced', 'none', 'refer'])]
        public string $word,
        #[OA\Property]
        public string $sheet_id,
        /** the names of the pair */
        #[OA\Property]
        public string $with,
        #[OA\Property]
        public int $late_minutes,
        /** from 0 */
        #[OA\Property]
        public int $joins_round,
        /** @var array<string, string>|\stdClass by station: the dose in words, or what to do instead */
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public array|\stdClass $doses,
    ) {}
}
