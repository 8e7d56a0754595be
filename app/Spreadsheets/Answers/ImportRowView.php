<?php

declare(strict_types=1);

namespace App\Spreadsheets\Answers;

/** One row of a spreadsheet and what would become of it. */
final readonly class ImportRowView
{
    public function __construct(
        /** as a spreadsheet program numbers it: the titles are in row 1 */
        public int $line,
        /** @var 'new'|'same'|'differs'|'unusable'|'left out' */
        public string $verdict,
        /** why, and what would be right; null where there is nothing to say */
        public ?string $sentence,
        /** the column it is about, counted from 0; null: the row as a whole */
        public ?int $column,
        /** @var list<string> */
        public array $cells,
    ) {}
}
