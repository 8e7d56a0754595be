<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** A newcomer’s place being looked for. */
final readonly class PlacingView
{
    public function __construct(
        public string $ladder,
        /** what was seen on the present rung, in a sentence */
        public string $sentence,
        /** @var 'more'|'look'|'place' */
        public string $next,
        /** the rung to look at next, or to start at */
        public string $rung_name,
        /** today’s sheet of the look that is open */
        public ?string $sheet_id,
    ) {}
}
