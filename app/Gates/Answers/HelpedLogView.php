<?php

declare(strict_types=1);

namespace App\Gates\Answers;

use App\Athletes\Answers\AthleteCardView;

/** What helped: a log that can be searched months later. */
final readonly class HelpedLogView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** @var list<HelpedView> */
        public array $rows,
        /** @var list<string> two things changed at once */
        public array $warnings,
    ) {}
}
