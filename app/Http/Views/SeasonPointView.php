<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One day of the curve. */
#[OA\Schema]
final readonly class SeasonPointView
{
    public function __construct(
        #[OA\Property(format: 'date')]
        public string $date,
        #[OA\Property]
        public ?float $agreed,
        #[OA\Property]
        public ?float $planned,
        #[OA\Property]
        public ?float $done,
    ) {}
}
