<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Where one athlete stands at the gate of one ladder. */
#[OA\Schema]
final readonly class GateRowView
{
    public function __construct(
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property(enum: ['full', 'unknown', 'reduced', 'none', 'refer'])]
        public string $word,
        #[OA\Property]
        public RungRefView $rung,
        #[OA\Property]
        public GateView $gate,
        #[OA\Property(enum: ['ready', 'watch', 'stuck', 'rest', 'return'])]
        public string $group,
        /** what it waits for, in a sentence */
        #[OA\Property]
        public ?string $why,
        /** chance that the next six judged repetitions open the mechanics */
        #[OA\Property]
        public float $opens,
        #[OA\Property]
        public float $steps_back,
        /** on the rung */
        #[OA\Property]
        public int $days,
        /** two people see this rung differently, in a sentence */
        #[OA\Property]
        public ?string $agreement,
        /** since when the athlete is ready for a match, and who said so */
        #[OA\Property]
        public ?string $match_ready,
    ) {}
}
