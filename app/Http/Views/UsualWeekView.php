<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A declared usual week in units. */
#[OA\Schema]
final readonly class UsualWeekView
{
    public function __construct(
        #[OA\Property]
        public float $arm,
        #[OA\Property]
        public float $landings,
    ) {}
}
