<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A fault, the thought that mends it, and the drill that does. */
#[OA\Schema]
final readonly class LibraryFaultView
{
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $checkpoint,
        #[OA\Property]
        public string $cue,
        #[OA\Property]
        public string $drill,
        #[OA\Property]
        public bool $safety,
    ) {}
}
