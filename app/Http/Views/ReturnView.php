<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A return with everything behind it. */
#[OA\Schema]
final readonly class ReturnView
{
    public function __construct(
        #[OA\Property]
        public ReturnRefView $ref,
        #[OA\Property]
        public string $summary,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $cautions,
        #[OA\Property]
        public string $ladder_name,
        /** of the returning place today */
        #[OA\Property(enum: ['full', 'unknown', 'reduced', 'none', 'refer'])]
        public string $word,
        /** whether the step shown can be accepted now */
        #[OA\Property]
        public bool $acceptable,
        /** why it cannot */
        #[OA\Property]
        public ?string $hindrance,
        /** from 0, to be sent back with the acceptance */
        #[OA\Property]
        public int $action_stage,
        /** @var list<UnmetView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: UnmetView::class))]
        public array $unmet,
        /** @var list<StageView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StageView::class))]
        public array $stages,
        /** @var list<AttemptView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: AttemptView::class))]
        public array $attempts,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $clearances,
        /** @var list<StepTakenView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StepTakenView::class))]
        public array $steps,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $measures,
        #[OA\Property]
        public string $opened_on,
        /** the limit of the weeks after */
        #[OA\Property]
        public ?string $after,
    ) {}
}
