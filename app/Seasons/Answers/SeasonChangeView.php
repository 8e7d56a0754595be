<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** A day ahead that is another one in this plan than in the agreed. */
final readonly class SeasonChangeView
{
    public function __construct(
        /** @format date */
        public string $date,
        /** null: nothing was agreed for it */
        public ?string $was,
        /** null: nothing is planned for it any more */
        public ?string $now,
    ) {}
}
