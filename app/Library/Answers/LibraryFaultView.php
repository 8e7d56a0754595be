<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** A fault, the thought that mends it, and the drill that does. */
final readonly class LibraryFaultView
{
    public function __construct(
        public string $name,
        public string $checkpoint,
        public string $cue,
        public string $drill,
        public bool $safety,
        /** the drill written out; null: nobody has */
        public ?string $how,
        /** when to stop it */
        public ?string $stop,
        /** what it is done with, how often and how hard; null: nobody has said */
        public ?string $dose,
        public ?FigurePoseView $picture,
    ) {}
}
