<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** The next match, and the days before it. */
final readonly class ProtectView
{
    public function __construct(
        public string $title,
        /** @format date */
        public string $date,
        /** what the days are counted in */
        public string $dose,
        /** @var list<ProtectDayView> */
        public array $days,
    ) {}
}
