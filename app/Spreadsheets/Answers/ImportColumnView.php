<?php

declare(strict_types=1);

namespace App\Spreadsheets\Answers;

/** A column of a spreadsheet. */
final readonly class ImportColumnView
{
    public function __construct(
        public string $title,
        /** what it is taken for, one of what a column may be; null: it is passed over */
        public ?string $column,
        /** @var list<string> the first cells in it */
        public array $samples,
    ) {}
}
