<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A height that was measured. */
#[OA\Schema]
final readonly class HeightView
{
    public function __construct(
        #[OA\Property]
        public string $measured_on,
        #[OA\Property]
        public float $height_cm,
    ) {}
}
