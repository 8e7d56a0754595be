<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** A match that is over and that nobody has counted for somebody who plays: until then it stands as expected. */
final readonly class UncountedMatchView
{
    public function __construct(
        public string $id,
        public string $title,
        /** @format date */
        public string $day,
        /** of how many nobody has said what it took */
        public int $players,
    ) {}
}
