<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** One athlete in the list of all. */
final readonly class RosterRowView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $given_name,
        public ?int $age,
        /** @var 'left'|'right' */
        public string $throwing_side,
        /** @var list<int> of squads */
        public array $squads,
        /** @var list<string> ladder and rung, the one entered last first */
        public array $ladders,
        /** the last day with any work on record */
        public ?string $last_worked,
        public ?string $away,
        public bool $restricted,
        public int $incidents,
        public ?string $retired_on,
    ) {}
}
