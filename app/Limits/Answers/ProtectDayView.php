<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** What a day before a match may hold at most. */
final readonly class ProtectDayView
{
    public function __construct(
        /** @format date */
        public string $date,
        /** null: no limit binds */
        public ?int $reps,
        /** @var list<string> */
        public array $binding,
    ) {}
}
