<?php

declare(strict_types=1);

namespace App\Devices\Answers;

/** What came in outside every session, and nobody has spoken of yet. */
final readonly class OutsideView
{
    public function __construct(
        /** @var list<OutsideGroupView> the latest first */
        public array $groups,
    ) {}
}
