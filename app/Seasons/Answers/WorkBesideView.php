<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** Strength, bands or sprints that were planned and nobody has told of yet. */
final readonly class WorkBesideView
{
    public function __construct(
        public string $id,
        /** @format date */
        public string $day,
        public string $title,
        /** the work in words */
        public string $sentence,
        /** why it is left out today; null: nothing speaks against it, or it is over */
        public ?string $not_today,
    ) {}
}
