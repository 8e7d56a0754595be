<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Work logged without a sheet. */
#[OA\Schema]
final readonly class LoggedWorkView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $day,
        #[OA\Property]
        public string $sentence,
        #[OA\Property]
        public float $arm,
        #[OA\Property]
        public float $landings,
    ) {}
}
