<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** An athlete’s load on one time axis, past and planned. */
#[OA\Schema]
final readonly class LoadView
{
    public function __construct(
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property(format: 'date')]
        public string $date,
        /** @var list<LoadLaneDayView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LoadLaneDayView::class))]
        public array $days,
        /** @var list<LoadEventView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LoadEventView::class))]
        public array $events,
        /** @var array<string, float>|\stdClass the day’s cap by measure, where a hard limit gives one */
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number'))]
        public array|\stdClass $caps,
        #[OA\Property]
        public ?ProtectView $protect,
        /** @var list<HonestEffortView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: HonestEffortView::class))]
        public array $honest,
        /** @var list<string> months with overhead work, time off, seasons at once */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $year,
        /** @var list<NamedView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))]
        public array $skills,
        /** @var list<float> of the ratio limit in force: low, high, stop; empty without one */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))]
        public array $ratio_band,
    ) {}
}
