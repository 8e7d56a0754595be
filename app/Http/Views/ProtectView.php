<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** The next match, and the days before it. */
#[OA\Schema]
final readonly class ProtectView
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property(format: 'date')]
        public string $date,
        /** what the days are counted in */
        #[OA\Property]
        public string $dose,
        /** @var list<ProtectDayView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProtectDayView::class))]
        public array $days,
    ) {}
}
