<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Something to work on: a fault seen lately, its cue and its drill. */
#[OA\Schema]
final readonly class FocusView
{
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $cue,
        #[OA\Property]
        public string $drill,
        #[OA\Property]
        public bool $safety,
    ) {}
}
