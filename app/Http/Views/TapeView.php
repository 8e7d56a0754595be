<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One limit as a tape: done, planned, left, and where it stops. */
#[OA\Schema]
final readonly class TapeView
{
    public function __construct(
        #[OA\Property]
        public string $limit_id,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $source,
        #[OA\Property]
        public bool $hard,
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public string $unit,
        #[OA\Property]
        public ?float $used,
        /** what the plan adds */
        #[OA\Property]
        public ?float $planned,
        #[OA\Property]
        public ?float $max,
        #[OA\Property]
        public ?float $remaining,
        #[OA\Property(enum: ['within', 'near', 'over', 'low', 'unknown'])]
        public string $status,
        #[OA\Property]
        public string $sentence,
    ) {}
}
