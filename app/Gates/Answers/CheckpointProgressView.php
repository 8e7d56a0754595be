<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** One checkpoint over the months: first looks against the latest. */
final readonly class CheckpointProgressView
{
    public function __construct(
        public string $name,
        /** @format date */
        public string $from_day,
        /** @format date */
        public string $to_day,
        public int $first_right,
        public int $first_seen,
        /** null while the first looks are all there is */
        public ?int $latest_right,
        public ?int $latest_seen,
        /** @var 'better'|'worse'|'too few to tell' */
        public string $says,
        public string $sentence,
    ) {}
}
