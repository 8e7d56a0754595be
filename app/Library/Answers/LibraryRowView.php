<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** A ladder in one line. */
final readonly class LibraryRowView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $family,
        public string $summary,
        public int $rungs,
        /** everything in it that can be searched, in small letters */
        public string $words,
        /** whether it is the club's own copy */
        public bool $own,
    ) {}
}
