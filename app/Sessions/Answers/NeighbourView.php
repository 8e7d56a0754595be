<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** Another athlete of the same session, one tap away. */
final readonly class NeighbourView
{
    public function __construct(
        public string $sheet_id,
        public string $name,
        public string $state,
        /** of the stations; null when there are none */
        public ?int $group,
    ) {}
}
