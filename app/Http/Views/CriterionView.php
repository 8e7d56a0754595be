<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One criterion of a gate with its evidence in words. */
#[OA\Schema]
final readonly class CriterionView
{
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $label,
        #[OA\Property(enum: ['pass', 'fail', 'unknown', 'short'])]
        public string $verdict,
        #[OA\Property]
        public string $evidence,
        #[OA\Property]
        public bool $overridable,
    ) {}
}
