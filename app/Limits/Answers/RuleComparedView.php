<?php

declare(strict_types=1);

namespace App\Limits\Answers;

use App\Athletes\Answers\AthleteCardView;

/** One athlete under both rule sets. */
final readonly class RuleComparedView
{
    public function __construct(
        public AthleteCardView $athlete,
        /** days over a hard limit under the rule set in force */
        public int $now_days,
        /** under the other */
        public int $then_days,
        /** @var list<string> which, on which day */
        public array $then,
        /** @var list<string> days ahead whose plan would be trimmed, and by which limit */
        public array $coming,
    ) {}
}
