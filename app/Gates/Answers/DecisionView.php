<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** A decision as it was taken. */
final readonly class DecisionView
{
    public function __construct(
        public string $id,
        public string $day,
        public string $ladder_name,
        public string $rung_name,
        public string $to_rung_name,
        public string $action,
        public string $sentence,
        public string $by,
        /** @var list<string> */
        public array $evidence,
        public ?string $reason,
    ) {}
}
