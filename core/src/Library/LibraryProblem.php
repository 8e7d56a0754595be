<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** A library file that cannot be used: the file, the place in it (a JSON pointer) and what is wrong. */
final class LibraryProblem extends \RuntimeException
{
    public function __construct(public readonly string $libraryFile, public readonly string $path, string $message)
    {
        parent::__construct($message);
    }
}
