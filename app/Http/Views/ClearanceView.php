<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A clearance on file. */
#[OA\Schema]
final readonly class ClearanceView
{
    public function __construct(
        #[OA\Property]
        public string $at,
        #[OA\Property]
        public string $sentence,
    ) {}
}
