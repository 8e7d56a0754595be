<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** The gate to a match. */
#[OA\Schema]
final readonly class MatchReadyView
{
    public function __construct(
        #[OA\Property]
        public bool $open,
        /** when it was said, and by whom; null when it has not been, or was taken back by a step back or a pause since */
        #[OA\Property]
        public ?string $since,
        /** @var list<CriterionView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: CriterionView::class))]
        public array $criteria,
    ) {}
}
