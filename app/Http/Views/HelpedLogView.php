<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What helped: a log that can be searched months later. */
#[OA\Schema]
final readonly class HelpedLogView
{
    public function __construct(
        #[OA\Property]
        public AthleteCardView $athlete,
        /** @var list<HelpedView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: HelpedView::class))]
        public array $rows,
        /** @var list<string> two things changed at once */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $warnings,
    ) {}
}
