<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** How many of a block were done. */
final readonly class BlockCountView
{
    public function __construct(
        public string $id,
        public string $title,
        public int $planned,
        public int $done,
        /** of those done */
        public int $falls,
        /** how many were good can be told with them */
        public bool $judged,
        /** effort and distance in words */
        public string $dose,
    ) {}
}
