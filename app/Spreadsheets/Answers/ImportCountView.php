<?php

declare(strict_types=1);

namespace App\Spreadsheets\Answers;

/** How many rows have the same thing become of them. */
final readonly class ImportCountView
{
    public function __construct(
        /** @var 'new'|'same'|'differs'|'unusable'|'left out' */
        public string $verdict,
        public int $rows,
    ) {}
}
