<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A sheet as it would be fitted. */
final readonly class SheetPreviewView
{
    public function __construct(
        public string $name,
        public string $ladder_name,
        public string $rung_name,
        public int $reps,
        /** its own dose in words; null: nothing is left of it */
        public ?string $dose,
        /** @var list<string> what was taken from it, and why */
        public array $notes,
    ) {}
}
