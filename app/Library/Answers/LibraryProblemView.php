<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** A library file that cannot be read. */
final readonly class LibraryProblemView
{
    public function __construct(
        public string $file,
        public string $path,
        public string $message,
    ) {}
}
