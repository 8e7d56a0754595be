<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Where the search for a place goes on. */
#[OA\Schema]
final readonly class PlacedView
{
    public function __construct(
        /** of the next look, today; null when the place is found */
        #[OA\Property]
        public ?string $sheet_id,
    ) {}
}
