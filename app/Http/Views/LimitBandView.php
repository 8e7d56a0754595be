<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A limit at one age. */
#[OA\Schema]
final readonly class LimitBandView
{
    public function __construct(
        #[OA\Property]
        public string $ages,
        #[OA\Property]
        public string $value,
    ) {}
}
