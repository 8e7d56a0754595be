<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Two rule sets held against the same record. */
#[OA\Schema]
final readonly class RuleCompareView
{
    public function __construct(
        /** name of the one in force */
        #[OA\Property]
        public string $now,
        #[OA\Property]
        public string $then,
        /** looked back */
        #[OA\Property]
        public int $days,
        #[OA\Property]
        public string $sentence,
        /** @var list<RuleComparedView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RuleComparedView::class))]
        public array $rows,
    ) {}
}
