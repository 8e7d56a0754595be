<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** The checkpoints of a ladder over the months. */
final readonly class ProgressView
{
    public function __construct(
        /** @var list<CheckpointProgressView> in the ladder’s order */
        public array $rows,
        /** not good, and nobody said why: they are in no row */
        public int $unnamed,
    ) {}
}
