<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A ladder an athlete can be placed on. */
#[OA\Schema]
final readonly class LadderChoiceView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $skill,
        /** @var list<NamedView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))]
        public array $rungs,
    ) {}
}
