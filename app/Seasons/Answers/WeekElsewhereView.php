<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

use App\Athletes\Answers\NamedView;

/** The week of an athlete elsewhere that is asked for. */
final readonly class WeekElsewhereView
{
    public function __construct(
        /** @format date its Monday */
        public string $week,
        /** @var list<string> training elsewhere that stands as expected until somebody tells */
        public array $usual,
        /** @var 'usual'|'other'|'nothing'|null null: nobody has told it */
        public ?string $told,
        /** @var list<NamedView> what it may have been */
        public array $skills,
        /** @var list<string> @format date of the week */
        public array $days,
    ) {}
}
