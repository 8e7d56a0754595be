<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** The sets of one day. */
#[OA\Schema]
final readonly class DayWorkView
{
    public function __construct(
        #[OA\Property(format: 'date')]
        public string $date,
        /** @var list<DaySetView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: DaySetView::class))]
        public array $sets,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $sessions,
    ) {}
}
