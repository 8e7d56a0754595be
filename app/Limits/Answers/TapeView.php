<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** One limit as a tape: done, planned, left, and where it stops. */
final readonly class TapeView
{
    public function __construct(
        public string $limit_id,
        public string $label,
        public string $source,
        public bool $hard,
        public string $kind,
        public string $unit,
        public ?float $used,
        /** what the plan adds */
        public ?float $planned,
        public ?float $max,
        public ?float $remaining,
        /** @var 'within'|'near'|'over'|'low'|'unknown' */
        public string $status,
        public string $sentence,
    ) {}
}
