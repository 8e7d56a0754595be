<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Who is ready, who is stuck and why, whom to watch next. */
#[OA\Schema]
final readonly class GatesView
{
    public function __construct(
        #[OA\Property(format: 'date')]
        public string $date,
        #[OA\Property]
        public SquadView $squad,
        /** @var list<SquadView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SquadView::class))]
        public array $squads,
        /** @var list<GateRowView> ready first, then by what a look would decide */
        #[OA\Property(type: 'array', items: new OA\Items(ref: GateRowView::class))]
        public array $rows,
        /** @var list<AgreementView> the weakest first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: AgreementView::class))]
        public array $agreements,
    ) {}
}
