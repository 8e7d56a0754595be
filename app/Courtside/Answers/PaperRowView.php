<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

use App\Athletes\Answers\AthleteCardView;

/** One of a session whose counts may be entered from paper. */
final readonly class PaperRowView
{
    public function __construct(
        public string $sheet_id,
        public AthleteCardView $athlete,
        /** something is counted already: entered from paper it would be there twice */
        public bool $counted,
        /** @var list<BlockCountView> of work that is planned */
        public array $blocks,
    ) {}
}
