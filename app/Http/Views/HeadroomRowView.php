<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One effort. */
#[OA\Schema]
final readonly class HeadroomRowView
{
    public function __construct(
        #[OA\Property]
        public float $effort,
        /** @var list<HeadroomCellView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: HeadroomCellView::class))]
        public array $cells,
    ) {}
}
