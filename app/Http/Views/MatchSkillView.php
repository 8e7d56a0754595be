<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Something counted in a match. */
#[OA\Schema]
final readonly class MatchSkillView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        /** @var list<CostView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: CostView::class))]
        public array $costs,
        /** why it is not for today */
        #[OA\Property]
        public ?string $blocked,
    ) {}
}
