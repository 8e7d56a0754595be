<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** The sets of one day. */
final readonly class DayWorkView
{
    public function __construct(
        /** @format date */
        public string $date,
        /** @var list<DaySetView> */
        public array $sets,
        /** @var list<string> */
        public array $sessions,
    ) {}
}
