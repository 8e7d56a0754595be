<?php

declare(strict_types=1);

namespace App\Library\Answers;

use Augendo\Core\Library\SchoolQuestion;

/** A question practitioners answer differently. */
final readonly class SchoolQuestionView
{
    public function __construct(
        /** @var value-of<SchoolQuestion> */
        public string $key,
        public string $name,
        /** what the library does by itself, and why */
        public string $why,
        /** chosen here; null: as above */
        public ?string $chosen,
        /** what holds without a choice here */
        public string $otherwise,
        /** @var list<SchoolAnswerView> */
        public array $answers,
    ) {}
}
