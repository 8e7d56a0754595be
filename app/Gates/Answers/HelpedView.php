<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** What was tried, and what went with it. */
final readonly class HelpedView
{
    public function __construct(
        public string $tried,
        public string $ladder_name,
        public string $rung_name,
        public int $good,
        public int $n,
        public int $other_good,
        public int $other_n,
        public ?float $difference,
        public ?float $low,
        public ?float $high,
        /** @var 'better'|'worse'|'too few to tell'|null null: nothing to compare with */
        public ?string $says,
        public string $sentence,
        /** @format date */
        public string $first_day,
        /** @format date */
        public string $last_day,
    ) {}
}
