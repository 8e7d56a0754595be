<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** What importing one file does, or what stands in the way. */
final readonly class LadderImportView
{
    public function __construct(
        public string $file,
        public ?string $name,
        public int $rungs,
        public ?string $becomes,
        /** @var list<LibraryProblemView> */
        public array $problems,
    ) {}
}
