<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** One thing to do instead, and where it comes from. */
final readonly class SwapLineView
{
    public function __construct(
        public string $kind_name,
        public string $title,
        public string $text,
        /** @var list<int> repetitions of each set; empty: nothing is counted */
        public array $sets,
        public ?float $effort,
        public ?float $distance_m,
        public ?int $hold_s,
        public string $object,
        public bool $judged,
        /** null: it stood on the sheet, or is a drill of no ladder */
        public ?string $from,
        /** @var list<string> */
        public array $trims,
    ) {}
}
