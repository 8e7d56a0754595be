<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A block of a rung as it is asked for. */
#[OA\Schema]
final readonly class LibraryBlockView
{
    public function __construct(
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $dose,
        #[OA\Property]
        public bool $judged,
    ) {}
}
