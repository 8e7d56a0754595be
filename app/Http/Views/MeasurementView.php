<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A height, a longest throw or a reference speed as it was entered. */
#[OA\Schema]
final readonly class MeasurementView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $text,
        /** what is asked about it, because it lies far off the others; null when nothing is */
        #[OA\Property]
        public ?string $doubt,
        /** who took it back, and when; null while it stands */
        #[OA\Property]
        public ?string $withdrawn,
    ) {}
}
