<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A condition a clinician knows of. */
#[OA\Schema]
final readonly class ConditionView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $sentence,
        #[OA\Property]
        public string $until,
        #[OA\Property]
        public bool $ended,
    ) {}
}
