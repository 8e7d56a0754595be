<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** A height, a longest throw or a reference speed as it was entered. */
final readonly class MeasurementView
{
    public function __construct(
        public string $id,
        public string $text,
        /** what is asked about it, because it lies far off the others; null when nothing is */
        public ?string $doubt,
        /** who took it back, and when; null while it stands */
        public ?string $withdrawn,
    ) {}
}
