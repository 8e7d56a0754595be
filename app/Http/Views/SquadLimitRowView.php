<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** How close an athlete is to which hard limits. */
#[OA\Schema]
final readonly class SquadLimitRowView
{
    public function __construct(
        #[OA\Property]
        public AthleteCardView $athlete,
        /** @var list<TapeView> the closest first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TapeView::class))]
        public array $tapes,
        /** of the closest, 1 at the limit */
        #[OA\Property]
        public float $fullness,
    ) {}
}
