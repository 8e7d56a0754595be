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
        /** @var list<ScoreLadderView> those the athlete stands on */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ScoreLadderView::class))]
        public array $ladders,
        /** how many scores are not shown because where it lands is not looked at on their ladder now */
        #[OA\Property]
        public int $hidden,
        /** @var list<ScoreSeriesView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ScoreSeriesView::class))]
        public array $series,
    ) {}
}
