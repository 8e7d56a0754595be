<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** A decision that would not pass any more, since repetitions it stood on were put right. */
final readonly class SecondLookView
{
    public function __construct(
        public string $decision_id,
        public string $athlete_id,
        public string $sentence,
        /** the rung it would go back to; null when the athlete stands elsewhere by now, and it can only be left */
        public ?string $takes_back_to,
    ) {}
}
