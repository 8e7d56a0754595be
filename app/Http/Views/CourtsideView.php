<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Everything courtside needs with no connection: doses, bounds and stop rules computed ahead. */
#[OA\Schema]
final readonly class CourtsideView
{
    public function __construct(
        #[OA\Property]
        public string $sheet_id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $held_on,
        #[OA\Property]
        public string $state,
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property]
        public RungRefView $rung,
        #[OA\Property]
        public bool $outcome_ignored,
        #[OA\Property(enum: ['full', 'unknown', 'reduced', 'none', 'refer'])]
        public string $word,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $cautions,
        /** @var list<CourtsideBlockView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: CourtsideBlockView::class))]
        public array $blocks,
        /** @var list<BoundView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BoundView::class))]
        public array $bounds,
        /** @var list<FaultView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FaultView::class))]
        public array $faults,
        #[OA\Property(ref: PatternBoundsView::class)]
        public PatternBoundsView $pattern,
        /** @var list<RepEventView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: RepEventView::class))]
        public array $events,
        /** @var list<NeighbourView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: NeighbourView::class))]
        public array $neighbours,
        /** why nothing may be counted today */
        #[OA\Property]
        public ?string $stop,
        /** whom to call, readable without a connection; null when nobody wrote it down */
        #[OA\Property]
        public ?string $emergency,
        #[OA\Property]
        public ?string $return_sentence,
        /** @var list<NamedView> what is looked for on this rung */
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))]
        public array $checkpoints,
        /** one pace of whoever took this along, in metres */
        #[OA\Property]
        public float $pace_m,
        #[OA\Property]
        public ?RotationView $rotation,
        /** @var list<string> where two devices say different things; nothing is dropped */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $conflicts,
        /** @var list<ReportedView> what is sore today so far: more of it stops the work */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReportedView::class))]
        public array $reported,
        /** what a report made here would mean: looked up with no connection */
        #[OA\Property]
        public StopsView $stops,
        /** @var list<string> reports that this answer knows of; what lies on a device and is not among them stops by the table */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $reports_known,
        /** changes when something about the athlete’s health is new */
        #[OA\Property]
        public string $health,
        /** why the doses are lower than planned for the moment */
        #[OA\Property]
        public ?string $refitting,
        /** what was tapped although the work had to stop */
        #[OA\Property]
        public ?string $after_stop,
    ) {}
}
