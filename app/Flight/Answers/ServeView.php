<?php

declare(strict_types=1);

namespace App\Flight\Answers;

use App\Athletes\Answers\AthleteCardView;

/** Why a serve misses, and what would bring more of them in. */
final readonly class ServeView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @var list<ServeCourtView> */
        public array $courts,
        public ServeAskedView $asked,
        /** @var list<float>|null lowest and highest elevation that is in, degrees; null: none is */
        public ?array $up_deg,
        /** @var list<ArcView> the lowest, the middle and the highest that are in */
        public array $arcs,
        /**
         * @var list<list<list<float>>> where serves of this scatter come down, off by one and by two standard deviations: metres from the
         *      base line, and to the left of the middle
         */
        public array $outlines,
        /** what the window makes of that scatter; null: not counted yet */
        public ?float $share,
        public ?ServeMissesView $misses,
        /** why nothing is advised; null: it is */
        public ?string $no_advice,
        /** @var list<ServeChangeView> as pace comes off */
        public array $less_pace,
        /** @var list<ServeChangeView> each thing alone */
        public array $alone,
        public ?ServeChangeView $cheapest,
        /** @var list<string> what is not for this athlete, or not for today */
        public array $left_out,
        public ?TwoServesView $two,
        /** @var list<string> what it comes to, first things first */
        public array $said,
        /** the next sheet a target can be put on; null: none is planned, or it is not this person's to do */
        public ?string $sheet_id,
        public string $source,
    ) {}
}
