<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A measurement the stage still asks for. */
#[OA\Schema]
final readonly class UnmetView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $unit,
        /** injured over sound side */
        #[OA\Property]
        public float $at_least,
    ) {}
}
