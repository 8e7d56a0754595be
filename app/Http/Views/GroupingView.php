<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Where it landed, and what that comes to. */
#[OA\Schema]
final readonly class GroupingView
{
    public function __construct(
        /** @var list<string> x and y, metres from the aim */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $points,
        #[OA\Property]
        public float $across_m,
        #[OA\Property]
        public float $along_m,
        #[OA\Property]
        public float $mean_radial_error_m,
        #[OA\Property]
        public float $half_circle_m,
        /** @var list<float> half axes that hold 50 and 90 %, and the angle of the long one, degrees */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))]
        public array $ellipses,
        #[OA\Property]
        public string $sentence,
        /** @var list<OutcomeHintView> none while there are fewer than ten points */
        #[OA\Property(type: 'array', items: new OA\Items(ref: OutcomeHintView::class))]
        public array $hints,
    ) {}
}
