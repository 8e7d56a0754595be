<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** A repetition that was counted on court, to name one of a clip by. */
final readonly class CountedRepView
{
    public function __construct(
        public string $id,
        public string $name,
        /** @format date-time when it was tapped */
        public string $at,
    ) {}
}
