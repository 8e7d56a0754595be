<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A rung of a ladder with what the athlete did on it. */
#[OA\Schema]
final readonly class RungView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $goal,
        #[OA\Property(enum: ['held', 'current', 'ahead'])]
        public string $state,
        #[OA\Property]
        public ?string $entered_on,
        #[OA\Property]
        public ?string $decision,
        #[OA\Property]
        public int $observed,
        #[OA\Property]
        public int $good,
    ) {}
}
