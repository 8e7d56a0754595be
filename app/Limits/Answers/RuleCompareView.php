<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** Two rule sets held against the same record. */
final readonly class RuleCompareView
{
    public function __construct(
        /** name of the one in force */
        public string $now,
        public string $then,
        /** looked back */
        public int $days,
        public string $sentence,
        /** what is planned ahead, and would be trimmed */
        public string $ahead,
        /** @var list<RuleComparedView> */
        public array $rows,
    ) {}
}
