<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A place somebody is signed in. */
#[OA\Schema]
final readonly class PlaceView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $browser,
        #[OA\Property]
        public string $last_seen,
        #[OA\Property]
        public bool $here,
    ) {}
}
