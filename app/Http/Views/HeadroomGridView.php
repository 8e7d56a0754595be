<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** How many are left. */
#[OA\Schema]
final readonly class HeadroomGridView
{
    public function __construct(
        #[OA\Property]
        public string $skill,
        #[OA\Property]
        public string $skill_name,
        #[OA\Property]
        public int $wanted,
        /** @var list<HeadroomRowView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: HeadroomRowView::class))]
        public array $rows,
        /** @var list<NamedView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))]
        public array $skills,
        /** @var list<LoggedWorkView> of the last three weeks */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LoggedWorkView::class))]
        public array $logged,
    ) {}
}
