<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** What one athlete has of a limit. */
final readonly class LimitShareView
{
    public function __construct(
        public string $athlete_id,
        public string $athlete_name,
        public string $limit_id,
        public string $label,
        public float $share,
        public ?string $reason,
        public string $by,
        /** @format date */
        public string $day,
    ) {}
}
