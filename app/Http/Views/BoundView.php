<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A hard limit as a budget for one session: what is left of it before the first repetition. */
#[OA\Schema]
final readonly class BoundView
{
    public function __construct(
        #[OA\Property]
        public string $limit_id,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $unit,
        #[OA\Property]
        public float $remaining,
        #[OA\Property]
        public float $max,
        #[OA\Property]
        public float $used,
    ) {}
}
