<?php

declare(strict_types=1);

namespace App\Spreadsheets\Answers;

use App\Athletes\Answers\NamedView;

/** A spreadsheet as far as it has come, and what is asked about it. */
final readonly class ImportView
{
    public function __construct(
        public string $id,
        /** @var 'athletes'|'work' */
        public string $kind,
        public string $file_name,
        /** @var 'arriving'|'reading'|'read'|'judging'|'judged'|'taking'|'taken'|'taking back'|'taken back'|'failed' */
        public string $state,
        public bool $is_busy,
        /** rises with each choice; sent along with the next */
        public int $version,
        public int $rows,
        /** how many of them the step that runs has behind it */
        public int $done,
        /** where it stands, or why it stopped and what helps */
        public string $sentence,
        public bool $stopped,
        /** @var list<ImportColumnView> as they stand in the file */
        public array $columns,
        /** @var list<NamedView> what a column may be */
        public array $may_be,
        /** @var 'day first'|'month first'|null what somebody said; null: as the dates tell */
        public ?string $date_order,
        /** @var 'm'|'ft'|'yd'|null */
        public ?string $distance_unit,
        public ?int $squad_id,
        /** @var 'left'|'right'|null of those of whom the file does not say it */
        public ?string $throwing_side,
        /** @var list<ImportWordView> skills nobody here calls so */
        public array $skills,
        /** @var list<ImportWordView> names nobody here has, or two */
        public array $athletes,
        /** @var list<ImportCountView> rows by what would become of them */
        public array $counts,
        /** athletes whose record it touches */
        public int $touches,
    ) {}
}
