<?php

declare(strict_types=1);

namespace App\Returns\Answers;

/** One stage of a programme, as one athlete stands to it. */
final readonly class StageView
{
    public function __construct(
        public string $name,
        public string $text,
        public string $dose,
        public string $asks,
        /** @var 'passed'|'current'|'ahead' */
        public string $state,
        public int $clean,
        public int $passes,
        public bool $needs_clearance,
    ) {}
}
