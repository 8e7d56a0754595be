<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A link that can still be used. */
#[OA\Schema]
final readonly class LinkView
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $purpose,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $expires_on,
    ) {}
}
