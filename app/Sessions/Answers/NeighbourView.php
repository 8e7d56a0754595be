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
        /** who begins in the same place has the same number; null without places */
        public ?int $group,
    ) {}
}
