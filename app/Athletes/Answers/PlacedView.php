<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** Where the search for a place goes on. */
final readonly class PlacedView
{
    public function __construct(
        /** of the next look, today; null when the place is found */
        public ?string $sheet_id,
    ) {}
}
