<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A soreness report as shown on the strip. */
#[OA\Schema]
final readonly class SorenessView
{
    public function __construct(
        #[OA\Property]
        public string $at,
        #[OA\Property]
        public string $day,
        #[OA\Property]
        public string $moment,
        #[OA\Property]
        public string $site,
        #[OA\Property]
        public string $site_name,
        #[OA\Property]
        public ?string $side,
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public int $score,
        #[OA\Property(enum: ['full', 'unknown', 'reduced', 'none', 'refer'])]
        public string $word,
        #[OA\Property]
        public ?string $note,
        #[OA\Property]
        public string $by,
    ) {}
}
