<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A version of an own ladder. */
#[OA\Schema]
final readonly class LadderVersionView
{
    public function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property]
        public string $saved_at,
        #[OA\Property]
        public string $by,
    ) {}
}
