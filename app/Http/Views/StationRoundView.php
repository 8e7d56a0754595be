<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One round of the clock. */
#[OA\Schema]
final readonly class StationRoundView
{
    public function __construct(
        #[OA\Property]
        public string $starts_at,
        /** @var list<string> by open station */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $groups,
    ) {}
}
