<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One limit of a rule set, with its values by age. */
#[OA\Schema]
final readonly class LimitRuleView
{
    public function __construct(
        /** in the rule set, without age and side */
        #[OA\Property]
        public string $id,
        /** whether it can be more or less for one athlete */
        #[OA\Property]
        public bool $scalable,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public bool $hard,
        /** what it sums and over what */
        #[OA\Property]
        public string $about,
        #[OA\Property]
        public bool $per_side,
        /** who says so */
        #[OA\Property]
        public string $source,
        /** @var list<LimitBandView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LimitBandView::class))]
        public array $bands,
    ) {}
}
