<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** Something the record says about this plan. It is taken or left by the coach, never by itself. */
final readonly class SuggestionView
{
    public function __construct(
        /** @var 'units'|'reps'|'effort' */
        public string $kind,
        /** what is seen, with its counts */
        public string $evidence,
        /** what could be done about it; null: too few to tell */
        public ?string $ask,
        /** units, repetitions, or effort to take off (0 to 1); null: too few to tell */
        public ?float $value,
    ) {}
}
