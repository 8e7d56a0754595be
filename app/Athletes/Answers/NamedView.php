<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** A record by its name. */
final readonly class NamedView
{
    public function __construct(
        public string $id,
        public string $name,
    ) {}
}
