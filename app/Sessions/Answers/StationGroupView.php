<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A group that goes round together. */
final readonly class StationGroupView
{
    public function __construct(
        public string $name,
        /** @var list<StationMemberView> */
        public array $members,
    ) {}
}
