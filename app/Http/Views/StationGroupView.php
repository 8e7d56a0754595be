<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A group that goes round together. */
#[OA\Schema]
final readonly class StationGroupView
{
    public function __construct(
        #[OA\Property]
        public string $name,
        /** @var list<StationMemberView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StationMemberView::class))]
        public array $members,
    ) {}
}
