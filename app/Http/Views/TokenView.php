<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A link that was made; its token is shown this once. */
#[OA\Schema]
final readonly class TokenView
{
    public function __construct(
        #[OA\Property]
        public string $token,
        #[OA\Property]
        public string $expires_on,
    ) {}
}
