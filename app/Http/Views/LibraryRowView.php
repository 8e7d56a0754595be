<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A ladder in one line. */
#[OA\Schema]
final readonly class LibraryRowView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $family,
        #[OA\Property]
        public string $summary,
        #[OA\Property]
        public int $rungs,
        /** everything in it that can be searched, in small letters */
        #[OA\Property]
        public string $words,
        /** whether it is the club's own copy */
        #[OA\Property]
        public bool $own,
    ) {}
}
