<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A finished session in one look. */
#[OA\Schema]
final readonly class AfterView
{
    public function __construct(
        #[OA\Property]
        public SheetRefView $sheet,
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property]
        public int $good,
        #[OA\Property]
        public int $observed,
        #[OA\Property]
        public int $unobserved,
        #[OA\Property]
        public string $strip,
        /** the leading fault in words */
        #[OA\Property]
        public ?string $pattern,
        #[OA\Property]
        public ?string $cue,
        #[OA\Property]
        public ?string $drill,
        /** how often each fault was seen, by its name */
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))]
        public object $faults,
        #[OA\Property]
        public GateView $gate,
        #[OA\Property]
        public RungRefView $rung,
        #[OA\Property]
        public ?string $next_rung,
        #[OA\Property]
        public ?string $previous_rung,
        /** @var list<TapeView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: TapeView::class))]
        public array $tapes,
        #[OA\Property]
        public string $tomorrow,
        /** the return this session was a stage of */
        #[OA\Property(ref: ReturnRefView::class, nullable: true)]
        public ?ReturnRefView $return,
        /** rest, step back or stop, as the last repetitions ask */
        #[OA\Property]
        public ?string $nudge,
        /** @var list<FaultView> up to three to work on next, with their drills */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FaultView::class))]
        public array $focus,
        #[OA\Property]
        public ProgressView $progress,
        /** where they landed; null while fewer than three were touched */
        #[OA\Property(ref: GroupingView::class, nullable: true)]
        public ?GroupingView $grouping,
        /** what was tried in this session and went with better repetitions, in a sentence */
        #[OA\Property]
        public ?string $helped,
        /** @var list<string> how hard sets felt against what was asked */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $felt,
        /** @var list<string> soreness reported while working that was more than anything said before that day */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $grew,
        /** what was tapped although the work had to stop; null when nothing was */
        #[OA\Property]
        public ?string $after_stop,
        /** @var list<string> stops that were gone on from, with the reason */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $went_on,
        /** @var list<string> where two devices say different things */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $conflicts,
        #[OA\Property]
        public ?string $set_length,
        #[OA\Property]
        public ?string $agreement,
        #[OA\Property(ref: PlacingView::class, nullable: true)]
        public ?PlacingView $placing,
    ) {}
}
