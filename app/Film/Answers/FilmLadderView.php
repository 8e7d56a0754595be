<?php

declare(strict_types=1);

namespace App\Film\Answers;

use App\Courtside\Answers\FaultView;

/** A ladder the athlete climbs, and what a picture is asked on their rung. */
final readonly class FilmLadderView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $rung,
        public string $rung_name,
        /** @var 'left'|'right' the side it is done with */
        public string $side,
        /** @var list<FilmMomentView> in the order they come */
        public array $moments,
        /** @var list<FilmCheckpointView> */
        public array $checkpoints,
        /** @var list<FaultView> what a review may ask to mend */
        public array $faults,
        /** @var list<CountedRepView> repetitions of the last days that a clip may show, the latest first */
        public array $counted,
    ) {}
}
