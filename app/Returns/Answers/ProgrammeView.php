<?php

declare(strict_types=1);

namespace App\Returns\Answers;

/** A return programme that can be opened. */
final readonly class ProgrammeView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $summary,
        public string $channel,
        /** @var list<string> */
        public array $families,
    ) {}
}
