<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** Something on the time axis. */
final readonly class LoadEventView
{
    public function __construct(
        /** @format date */
        public string $date,
        /** @var 'rung'|'stage'|'match'|'elsewhere'|'beside' */
        public string $kind,
        public string $title,
    ) {}
}
