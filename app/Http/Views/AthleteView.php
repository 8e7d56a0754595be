<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Where an athlete stands and how she got here. */
#[OA\Schema]
final readonly class AthleteView
{
    public function __construct(
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public string $squad,
        #[OA\Property(enum: ['full', 'unknown', 'reduced', 'none', 'refer'])]
        public string $word,
        #[OA\Property]
        public string $why,
        #[OA\Property]
        public string $school,
        /** @var list<ChannelView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ChannelView::class))]
        public array $channels,
        /** @var list<ReferralView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReferralView::class))]
        public array $referrals,
        /** @var list<ClearanceView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClearanceView::class))]
        public array $clearances,
        /** @var list<LadderView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LadderView::class))]
        public array $ladders,
        /** @var list<LoadDayView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LoadDayView::class))]
        public array $days,
        /** @var list<TapeView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TapeView::class))]
        public array $tapes,
        /** @var list<SorenessView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SorenessView::class))]
        public array $soreness,
        /** @var list<DecisionView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: DecisionView::class))]
        public array $decisions,
        /** @var list<SheetRefView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: SheetRefView::class))]
        public array $sheets,
        /** @var array<string, float|null> of the arm series */
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number', nullable: true))]
        public array $statistics,
        /** @var list<ReturnRefView> open and finished ones */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReturnRefView::class))]
        public array $returns,
        /** growing fast, so limits are tighter and knee, heel and elbow are asked about */
        #[OA\Property]
        public bool $growing_fast,
        /** taps that lie on a device and are not sent, because who made them is not signed in on it */
        #[OA\Property]
        public int $missing_counts,
    ) {}
}
