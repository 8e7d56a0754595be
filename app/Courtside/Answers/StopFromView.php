<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** From which score on work stops: one character for each place, 0 to 9, a for ten, - for never. */
final readonly class StopFromView
{
    public function __construct(
        /** what the work loads, as the blocks name it, and the side it is done with: load|side */
        public string $load,
        public string $moment,
        public string $kind,
        /** stops for today */
        public string $none,
        /** goes to a clinician */
        public string $refer,
    ) {}
}
