<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** Whether something is new of one sheet of a session that a line is counted in. */
final readonly class LineHeardView
{
    public function __construct(
        public string $sheet_id,
        /** as in the pack that was taken along */
        public string $health,
        /** taps of other devices that are here */
        public int $others,
    ) {}
}
