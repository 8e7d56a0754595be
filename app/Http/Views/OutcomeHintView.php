<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** How large a target about the aim has to be for a wanted success rate, from the grouping. */
#[OA\Schema]
final readonly class OutcomeHintView
{
    public function __construct(
        #[OA\Property]
        public float $share,
        #[OA\Property]
        public float $radius_m,
    ) {}
}
