<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A session of the week: somebody can be put into it while it is planned. */
final readonly class WeekSessionView
{
    public function __construct(
        public string $id,
        public string $day,
        public string $starts_at,
        public string $title,
        public bool $open,
    ) {}
}
