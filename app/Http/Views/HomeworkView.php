<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A card for practice alone. */
#[OA\Schema]
final readonly class HomeworkView
{
    public function __construct(
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property(format: 'date')]
        public string $date,
        #[OA\Property]
        public string $ladder_name,
        #[OA\Property]
        public string $rung_name,
        #[OA\Property]
        public string $goal,
        #[OA\Property]
        public ?string $focus,
        #[OA\Property]
        public ?string $cue,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $look_for,
        /** @var list<HomeworkDayView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: HomeworkDayView::class))]
        public array $days,
        /** why there is nothing to do alone */
        #[OA\Property]
        public ?string $none,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $stop_when,
        #[OA\Property]
        public string $report_back,
        #[OA\Property(format: 'date')]
        public ?string $next_session,
    ) {}
}
