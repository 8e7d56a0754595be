<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

use App\Flight\Answers\ServeCourtView;

/** What may be scored on a block. */
final readonly class BlockGameView
{
    public function __construct(
        /** the setup it is begun with: the one played last on this ladder, else the usual one; see Scoring\Round */
        public string $usual,
        /** @var list<string> what may be scored, each as it is begun with */
        public array $offered,
        /** the court it is served on; null: it is no serve */
        public ?ServeCourtView $court,
    ) {}
}
