<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One stage of a programme, as one athlete stands to it. */
#[OA\Schema]
final readonly class StageView
{
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $dose,
        #[OA\Property]
        public string $asks,
        #[OA\Property(enum: ['passed', 'current', 'ahead'])]
        public string $state,
        #[OA\Property]
        public int $clean,
        #[OA\Property]
        public int $passes,
        #[OA\Property]
        public bool $needs_clearance,
    ) {}
}
