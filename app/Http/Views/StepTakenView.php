<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** An action that was accepted. */
#[OA\Schema]
final readonly class StepTakenView
{
    public function __construct(
        #[OA\Property]
        public string $day,
        #[OA\Property]
        public string $sentence,
        #[OA\Property]
        public string $by,
    ) {}
}
