<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A block as it is run. */
#[OA\Schema]
final readonly class CourtsideBlockView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $kind_name,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $text,
        /** @var list<int> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $reps_by_set,
        #[OA\Property]
        public string $side,
        #[OA\Property]
        public float $effort,
        #[OA\Property]
        public ?float $distance_m,
        #[OA\Property]
        public string $object,
        #[OA\Property]
        public int $rest_s,
        #[OA\Property]
        public ?int $hold_s,
        #[OA\Property]
        public bool $judged,
        /** whether where it lands is looked at */
        #[OA\Property]
        public bool $scored,
        /** @var list<DoseView> as planned first, then what it may be changed to */
        #[OA\Property(type: 'array', items: new OA\Items(ref: DoseView::class))]
        public array $doses,
        /** names what it loads, for the table of stops */
        #[OA\Property]
        public string $load,
    ) {}
}
