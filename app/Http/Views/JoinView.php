<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What a link opens. */
#[OA\Schema]
final readonly class JoinView
{
    public function __construct(
        #[OA\Property(enum: ['invitation', 'password'])]
        public string $purpose,
        #[OA\Property]
        public string $workspace,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?string $role,
    ) {}
}
