<?php

declare(strict_types=1);

namespace App\Spreadsheets\Answers;

/** A word in a spreadsheet that somebody has to say the meaning of. */
final readonly class ImportWordView
{
    public function __construct(
        public string $word,
        /** in how many rows it is not known what it means; 0: somebody said it */
        public int $rows,
        /** the id of what it means; null: nothing chosen, or rows with it stay out */
        public ?string $means,
        public bool $left_out,
    ) {}
}
