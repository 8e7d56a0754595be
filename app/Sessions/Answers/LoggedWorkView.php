<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** Work logged without a sheet. */
final readonly class LoggedWorkView
{
    public function __construct(
        public string $id,
        public string $day,
        public int $reps,
        public string $sentence,
        public float $arm,
        public float $landings,
    ) {}
}
