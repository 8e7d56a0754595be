<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A session sheet of one athlete. */
#[OA\Schema]
final readonly class SheetView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public int $version,
        #[OA\Property(enum: ['planned', 'running', 'finished'])]
        public string $state,
        #[OA\Property]
        public string $held_on,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $starts_at,
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property]
        public RungRefView $rung,
        #[OA\Property]
        public string $rung_goal,
        #[OA\Property]
        public bool $outcome_ignored,
        #[OA\Property(enum: ['full', 'unknown', 'reduced', 'none', 'refer'])]
        public string $word,
        #[OA\Property]
        public string $why,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $cautions,
        /** @var list<BlockView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: BlockView::class))]
        public array $blocks,
        /** @var list<string> trims of the whole sheet; those of a block stand beside it */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $trims,
        /** @var list<TapeView> binding first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TapeView::class))]
        public array $tapes,
        /** @var list<string> why these doses cannot be saved */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $broken,
        #[OA\Property]
        public string $rule_notice,
        /** @var list<string> what may still be trained */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $swaps,
        /** the return whose stage this sheet is, or which it waits for */
        #[OA\Property(ref: ReturnRefView::class, nullable: true)]
        public ?ReturnRefView $return,
        /** @var list<FaultView> two or three at most, the most important first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FaultView::class))]
        public array $focus,
        /** minutes the session takes, by the clock of its blocks */
        #[OA\Property]
        public int $minutes,
        #[OA\Property]
        public string $session_id,
    ) {}
}
