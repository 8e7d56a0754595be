<?php

declare(strict_types=1);

namespace App\Gates\Answers;

use App\Athletes\Answers\SquadView;
use App\Library\Answers\LibraryProblemView;

/** Who is ready, who is stuck and why, whom to watch next. */
final readonly class GatesView
{
    public function __construct(
        /** @format date */
        public string $date,
        public SquadView $squad,
        /** @var list<SquadView> */
        public array $squads,
        /** @var list<LibraryProblemView> of files that cannot be read: their ladders have no row */
        public array $problems,
        /** @var list<GateRowView> ready first, then by what a look would decide */
        public array $rows,
        /** @var list<AgreementView> the weakest first */
        public array $agreements,
    ) {}
}
