<?php

declare(strict_types=1);

namespace App\Library\Answers;

use Augendo\Core\Library\LibraryProblem;

/** A library file that cannot be read. */
final readonly class LibraryProblemView
{
    public function __construct(
        public string $file,
        public string $path,
        public string $message,
    ) {}

    public static function of(LibraryProblem $problem): self
    {
        return new self($problem->libraryFile, $problem->path, $problem->getMessage());
    }
}
