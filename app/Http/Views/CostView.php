<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What one repetition on one side takes of a bound. */
#[OA\Schema]
final readonly class CostView
{
    public function __construct(
        #[OA\Property(enum: ['dominant', 'other'])]
        public string $side,
        #[OA\Property]
        public string $limit_id,
        #[OA\Property]
        public float $per_rep,
    ) {}
}
