<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A gate held against its evidence. */
#[OA\Schema]
final readonly class GateView
{
    public function __construct(
        #[OA\Property(enum: ['pause', 'step_back', 'advance', 'repeat', 'hold', 'collect'])]
        public string $decision,
        /** the decision in one sentence */
        #[OA\Property]
        public string $headline,
        /** @var list<string> what exactly is missing */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $missing,
        /** @var list<CriterionView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: CriterionView::class))]
        public array $criteria,
        #[OA\Property]
        public int $observed,
        #[OA\Property]
        public int $good,
        #[OA\Property]
        public ?float $rate,
        #[OA\Property]
        public ?float $lower_bound,
        /** the last ten judged repetitions, oldest first: g, b or u each, a capital for a safety fault */
        #[OA\Property]
        public string $strip,
    ) {}
}
