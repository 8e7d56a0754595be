<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One day of practice alone. */
#[OA\Schema]
final readonly class HomeworkDayView
{
    public function __construct(
        #[OA\Property(format: 'date')]
        public string $date,
        /** @var list<HomeworkBlockView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: HomeworkBlockView::class))]
        public array $blocks,
    ) {}
}
