<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** Whether something about the athlete’s health is new since a session was taken along. */
final readonly class HeardView
{
    public function __construct(
        /** changes whenever a report, a clearance or a condition comes or goes */
        public string $health,
    ) {}
}
