<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Another athlete of the same session, one tap away. */
#[OA\Schema]
final readonly class NeighbourView
{
    public function __construct(
        #[OA\Property]
        public string $sheet_id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $state,
        /** of the stations; null when there are none */
        #[OA\Property]
        public ?int $group,
    ) {}
}
