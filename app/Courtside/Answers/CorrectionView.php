<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** Counts that were entered after the fact or put right, and entries taken back. */
final readonly class CorrectionView
{
    public function __construct(
        /** null: it was no session, but an entry of its own */
        public ?string $sheet_id,
        public string $athlete_id,
        /** what stood there and what stands there now */
        public string $sentence,
        /** fewer than were counted: there is more room since */
        public bool $lowers,
        public ?string $reason,
        public string $by,
        /** @format date-time */
        public string $at,
    ) {}
}
