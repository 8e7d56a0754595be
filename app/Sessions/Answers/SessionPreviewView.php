<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** What planning would make, before any of it is kept. */
final readonly class SessionPreviewView
{
    public function __construct(
        /** @var list<string> @format date */
        public array $days,
        /** @var list<SheetPreviewView> of the first day */
        public array $sheets,
        /** @var list<string> */
        public array $left_out,
    ) {}
}
