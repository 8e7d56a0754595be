<?php

declare(strict_types=1);

namespace App\People\Answers;

use App\Athletes\Answers\NamedView;
use App\Athletes\Answers\SquadView;

/** Who sees what, and what they did. */
final readonly class PeopleView
{
    public function __construct(
        /** @var list<PersonView> */
        public array $people,
        /** @var list<LinkView> */
        public array $links,
        /** @var list<AuditView> */
        public array $audit,
        /** @var list<SquadView> */
        public array $squads,
        /** @var list<NamedView> */
        public array $athletes,
        /** whether personal pages ask for sleep, energy and illness */
        public bool $asks_wellness,
    ) {}
}
