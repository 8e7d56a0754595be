<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** A fault with its cue and drill. */
final readonly class FaultView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $cue,
        public string $drill,
        public bool $safety,
        /** the checkpoint it fails */
        public string $checkpoint,
    ) {}
}
