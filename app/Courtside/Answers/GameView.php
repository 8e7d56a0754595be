<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** What one setup came to so far, for courtside. */
final readonly class GameView
{
    public function __construct(
        /** see Scoring\Round */
        public string $setup,
        public string $last,
        public string $best,
        /** in the unit of its kind */
        public ?float $goal,
        /** @var list<string> the best of squad-mates who show theirs, where this athlete does as well */
        public array $mates,
    ) {}
}
