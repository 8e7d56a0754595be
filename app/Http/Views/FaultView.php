<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A fault with its cue and drill. */
#[OA\Schema]
final readonly class FaultView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $cue,
        #[OA\Property]
        public string $drill,
        #[OA\Property]
        public bool $safety,
        /** the checkpoint it fails */
        #[OA\Property]
        public string $checkpoint,
    ) {}
}
