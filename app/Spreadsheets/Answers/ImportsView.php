<?php

declare(strict_types=1);

namespace App\Spreadsheets\Answers;

/** The spreadsheets somebody brought in, the latest first. */
final readonly class ImportsView
{
    public function __construct(
        /** @var list<ImportLineView> */
        public array $imports,
    ) {}
}
