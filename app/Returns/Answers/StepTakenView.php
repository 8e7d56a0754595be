<?php

declare(strict_types=1);

namespace App\Returns\Answers;

/** An action that was accepted. */
final readonly class StepTakenView
{
    public function __construct(
        public string $day,
        public string $sentence,
        public string $by,
    ) {}
}
