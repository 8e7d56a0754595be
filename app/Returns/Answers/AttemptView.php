<?php

declare(strict_types=1);

namespace App\Returns\Answers;

/** One go at a stage. */
final readonly class AttemptView
{
    public function __construct(
        public string $id,
        public string $day,
        public string $sentence,
        public ?int $next_morning,
        /** whether the missed morning may still be entered by hand */
        public bool $may_enter_morning,
    ) {}
}
