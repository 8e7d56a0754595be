<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** A round that was played in a session, against the best of its kind. */
final readonly class PlayedRoundView
{
    public function __construct(
        public string $id,
        /** see Scoring\Round */
        public string $setup,
        /** the box it was aimed at; null: no court */
        public ?string $box,
        public string $value,
        public string $detail,
        /** of all that were played so, this one among them */
        public string $best,
        public ?string $goal,
    ) {}
}
