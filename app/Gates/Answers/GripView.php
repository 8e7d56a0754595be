<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** One grip, line by line. */
final readonly class GripView
{
    public function __construct(
        public string $ladder,
        public string $ladder_name,
        public string $name,
        /** @var list<GripNoteView> the latest first */
        public array $notes,
    ) {}
}
