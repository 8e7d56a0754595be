<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Why a channel has its word. */
#[OA\Schema]
final readonly class ReasonView
{
    public function __construct(
        #[OA\Property(enum: ['full', 'unknown', 'reduced', 'none', 'refer'])]
        public string $word,
        #[OA\Property]
        public string $sentence,
        #[OA\Property]
        public ?string $at,
    ) {}
}
