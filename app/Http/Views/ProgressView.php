<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** The checkpoints of a ladder over the months. */
#[OA\Schema]
final readonly class ProgressView
{
    public function __construct(
        /** @var list<CheckpointProgressView> in the ladder’s order */
        #[OA\Property(type: 'array', items: new OA\Items(ref: CheckpointProgressView::class))]
        public array $rows,
        /** not good, and nobody said why: they are in no row */
        #[OA\Property]
        public int $unnamed,
    ) {}
}
