<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** An athlete’s scores. */
#[OA\Schema]
final readonly class ScoresView
{
    public function __construct(
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property(format: 'date')]
        public string $date,
        /** @var list<string> rungs on which where it lands is not looked at */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $outcome_ignored,
        /** @var list<ScoreSeriesView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ScoreSeriesView::class))]
        public array $series,
    ) {}
}
