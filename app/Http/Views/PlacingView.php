<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A newcomer’s place being looked for. */
#[OA\Schema]
final readonly class PlacingView
{
    public function __construct(
        #[OA\Property]
        public string $ladder,
        /** what was seen on the present rung, in a sentence */
        #[OA\Property]
        public string $sentence,
        #[OA\Property(enum: ['more', 'look', 'place'])]
        public string $next,
        /** the rung to look at next, or to start at */
        #[OA\Property]
        public string $rung_name,
        /** today’s sheet of the look that is open */
        #[OA\Property]
        public ?string $sheet_id,
    ) {}
}
