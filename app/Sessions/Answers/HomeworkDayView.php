<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** One day of practice alone. */
final readonly class HomeworkDayView
{
    public function __construct(
        /** @format date */
        public string $date,
        /** @var list<HomeworkBlockView> */
        public array $blocks,
    ) {}
}
