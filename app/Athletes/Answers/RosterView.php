<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** Everybody somebody may see, those who retired as well. */
final readonly class RosterView
{
    public function __construct(
        /** @var list<RosterRowView> by name */
        public array $athletes,
        /** @var list<SquadView> */
        public array $squads,
    ) {}
}
