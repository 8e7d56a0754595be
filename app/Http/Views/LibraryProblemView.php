<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A library file that cannot be read. */
#[OA\Schema]
final readonly class LibraryProblemView
{
    public function __construct(
        #[OA\Property]
        public string $file,
        #[OA\Property]
        public string $path,
        #[OA\Property]
        public string $message,
    ) {}
}
