<?php

declare(strict_types=1);

namespace App\Spreadsheets\Answers;

/** One spreadsheet in the list of all. */
final readonly class ImportLineView
{
    public function __construct(
        public string $id,
        public string $file_name,
        /** @var 'arriving'|'reading'|'read'|'judging'|'judged'|'taking'|'taken'|'taking back'|'taken back'|'failed' */
        public string $state,
        public string $sentence,
        /** when it was brought in, in the zone of the club */
        public string $made_at,
        public string $by,
    ) {}
}
