<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** A block of a rung as it is asked for. */
final readonly class LibraryBlockView
{
    public function __construct(
        public string $kind,
        public string $title,
        public string $text,
        public string $dose,
        public bool $judged,
        /** feed and tempo; null: nobody has said */
        public ?string $how,
    ) {}
}
