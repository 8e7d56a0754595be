<?php

declare(strict_types=1);

namespace App\Health\Answers;

/** A condition a clinician knows of. */
final readonly class ConditionView
{
    public function __construct(
        public string $id,
        public string $sentence,
        public string $until,
        public bool $ended,
    ) {}
}
