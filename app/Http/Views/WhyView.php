<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** The sets behind a limit on a day. */
#[OA\Schema]
final readonly class WhyView
{
    public function __construct(
        #[OA\Property]
        public TapeView $tape,
        #[OA\Property]
        public string $explains,
        /** @var list<WhyRowView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: WhyRowView::class))]
        public array $rows,
        #[OA\Property]
        public float $total,
    ) {}
}
