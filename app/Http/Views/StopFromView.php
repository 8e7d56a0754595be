<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** From which score on work stops: one character for each place, 0 to 9, a for ten, - for never. */
#[OA\Schema]
final readonly class StopFromView
{
    public function __construct(
        /** what the work loads, as the blocks name it, and the side it is done with: load|side */
        #[OA\Property]
        public string $load,
        #[OA\Property]
        public string $moment,
        #[OA\Property]
        public string $kind,
        /** stops for today */
        #[OA\Property]
        public string $none,
        /** goes to a clinician */
        #[OA\Property]
        public string $refer,
    ) {}
}
