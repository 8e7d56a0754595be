<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** Rows of Today that the look at the squad left for later. */
final readonly class TodayRowsView
{
    public function __construct(
        /** @var list<TodayRowView> in running order */
        public array $rows,
    ) {}
}
