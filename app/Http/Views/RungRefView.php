<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A rung by its name and place on the ladder. */
#[OA\Schema]
final readonly class RungRefView
{
    public function __construct(
        #[OA\Property]
        public string $ladder,
        #[OA\Property]
        public string $ladder_name,
        #[OA\Property]
        public string $rung,
        #[OA\Property]
        public string $rung_name,
        /** from 1 */
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public int $of,
    ) {}
}
