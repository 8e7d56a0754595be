<?php

declare(strict_types=1);

namespace App\People\Answers;

use App\Athletes\Answers\SquadView;

/** Who is signed in, and what they may do. */
final readonly class MeView
{
    public function __construct(
        /** whose what is kept on a device is */
        public string $key,
        public string $name,
        public string $role,
        public string $workspace,
        /** YYYY-MM-DD where the club trains */
        public string $today,
        public bool $records,
        public bool $decides,
        public bool $clears,
        /** @var list<SquadView> those somebody works with */
        public array $squads,
        /** what an unconfirmed clinician shows the head coach, face to face; null otherwise */
        public ?string $code,
        public bool $head,
    ) {}
}
