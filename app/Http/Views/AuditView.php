<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Who did what. */
#[OA\Schema]
final readonly class AuditView
{
    public function __construct(
        #[OA\Property]
        public string $at,
        #[OA\Property]
        public string $by,
        #[OA\Property]
        public string $what,
        #[OA\Property]
        public ?string $about,
    ) {}
}
