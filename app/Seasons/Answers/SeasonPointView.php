<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** One day of the curve. */
final readonly class SeasonPointView
{
    public function __construct(
        /** @format date */
        public string $date,
        public ?float $agreed,
        public ?float $planned,
        public ?float $done,
    ) {}
}
