<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Something on the time axis. */
#[OA\Schema]
final readonly class LoadEventView
{
    public function __construct(
        #[OA\Property(format: 'date')]
        public string $date,
        #[OA\Property(enum: ['rung', 'stage', 'match', 'elsewhere'])]
        public string $kind,
        #[OA\Property]
        public string $title,
    ) {}
}
