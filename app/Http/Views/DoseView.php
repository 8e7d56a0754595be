<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** An effort and distance a block can be run at courtside, with what one repetition of it costs. */
#[OA\Schema]
final readonly class DoseView
{
    public function __construct(
        #[OA\Property]
        public float $effort,
        #[OA\Property]
        public ?float $distance_m,
        /** @var list<CostView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: CostView::class))]
        public array $costs,
        /** why it may not be run today */
        #[OA\Property]
        public ?string $blocked,
    ) {}
}
