<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** A limit at one age. */
final readonly class LimitBandView
{
    public function __construct(
        public string $ages,
        public string $value,
    ) {}
}
