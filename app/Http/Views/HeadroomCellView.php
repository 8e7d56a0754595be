<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What is left at one effort and distance. */
#[OA\Schema]
final readonly class HeadroomCellView
{
    public function __construct(
        #[OA\Property]
        public ?float $distance_m,
        /** null: no limit binds */
        #[OA\Property]
        public ?int $reps,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $binding,
        /** first day the wanted repetitions fit; null within five weeks */
        #[OA\Property]
        public ?string $fits_on,
    ) {}
}
