<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A week of a season, Monday to Sunday. */
#[OA\Schema]
final readonly class SeasonWeekView
{
    public function __construct(
        /** from 1 */
        #[OA\Property]
        public int $number,
        #[OA\Property(format: 'date')]
        public string $monday,
        #[OA\Property]
        public bool $lighter,
        /** done and planned */
        #[OA\Property]
        public float $arm,
        #[OA\Property]
        public float $arm_done,
        /** what the step limit allows on its last day */
        #[OA\Property]
        public ?float $arm_max,
        #[OA\Property]
        public float $landings,
        /** @var list<SeasonDayView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeasonDayView::class))]
        public array $days,
    ) {}
}
