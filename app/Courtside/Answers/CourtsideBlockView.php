<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

use Augendo\Core\Load\Side;

/** A block as it is run. */
final readonly class CourtsideBlockView
{
    public function __construct(
        public string $id,
        public string $kind_name,
        public string $title,
        public string $text,
        /** @var list<int> */
        public array $reps_by_set,
        /** @var value-of<Side> */
        public string $side,
        /** whether it says anything that a repetition was done on the other side */
        public bool $one_sided,
        public float $effort,
        public ?float $distance_m,
        public string $object,
        public int $rest_s,
        public ?int $hold_s,
        /** feed and tempo; null: nobody has said */
        public ?string $how,
        /** @var list<string> what is said on each beat, where it is counted */
        public array $counts,
        /** the sides in turn, one repetition each */
        public bool $alternates,
        public bool $judged,
        /** loosening up: a whole line can have done it together */
        public bool $warm_up,
        /** whether where it lands is looked at */
        public bool $scored,
        /** what may be scored here; null where nothing is */
        public ?BlockGameView $game,
        /** whether each repetition lands, so that a fall is one */
        public bool $lands,
        /** @var list<DoseView> as planned first, then what it may be changed to */
        public array $doses,
        /** names what it loads, for the table of stops */
        public string $load,
    ) {}
}
