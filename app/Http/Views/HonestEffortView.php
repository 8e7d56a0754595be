<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Effort asked against effort implied by speed and distance. */
#[OA\Schema]
final readonly class HonestEffortView
{
    public function __construct(
        #[OA\Property]
        public string $skill,
        #[OA\Property]
        public int $sets,
        #[OA\Property]
        public ?float $difference,
        #[OA\Property]
        public ?float $low,
        #[OA\Property]
        public ?float $high,
        #[OA\Property]
        public string $sentence,
    ) {}
}
