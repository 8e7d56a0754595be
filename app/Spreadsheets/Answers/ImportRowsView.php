<?php

declare(strict_types=1);

namespace App\Spreadsheets\Answers;

/** Some rows of a spreadsheet, judged. */
final readonly class ImportRowsView
{
    public function __construct(
        /** @var list<ImportRowView> in the order of the file */
        public array $rows,
        /** the line to go on behind; null: these were the last */
        public ?int $after,
    ) {}
}
