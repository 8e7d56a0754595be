<?php

declare(strict_types=1);

namespace App\Library\Answers;

use App\Athletes\Answers\NamedView;

/** How a squad or an athlete is taught. */
final readonly class SchoolsView
{
    public function __construct(
        /** of whom */
        public string $name,
        /** null: all ladders */
        public ?string $ladder,
        /** @var list<NamedView> those that are climbed */
        public array $ladders,
        /** @var list<SchoolQuestionView> */
        public array $questions,
    ) {}
}
