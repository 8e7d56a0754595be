<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** One answer, and what it would change. */
final readonly class SchoolAnswerView
{
    public function __construct(
        public string $key,
        public string $name,
        /** how many things it changes on the ladders that are climbed */
        public int $changed,
        /** @var list<string> the first of them, by ladder and rung */
        public array $changes,
    ) {}
}
