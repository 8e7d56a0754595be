<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One athlete of the squad today. */
#[OA\Schema]
final readonly class TodayRowView
{
    public function __construct(
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property(enum: ['full', 'unknown', 'reduced', 'none', 'refer'])]
        public string $word,
        #[OA\Property]
        public string $why,
        /** @var list<ChannelView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ChannelView::class))]
        public array $channels,
        #[OA\Property(ref: TapeView::class, nullable: true)]
        public ?TapeView $tape,
        /** how many are left of the rung’s own dose */
        #[OA\Property]
        public string $headroom,
        /** whether any hard limit is near or over */
        #[OA\Property]
        public bool $near,
        #[OA\Property(ref: RungRefView::class, nullable: true)]
        public ?RungRefView $rung,
        #[OA\Property(ref: GateView::class, nullable: true)]
        public ?GateView $gate,
        #[OA\Property(ref: SheetRefView::class, nullable: true)]
        public ?SheetRefView $sheet,
        #[OA\Property]
        public int $referrals,
        /** the open return, if the athlete is on the way back */
        #[OA\Property(ref: ReturnRefView::class, nullable: true)]
        public ?ReturnRefView $return,
    ) {}
}
