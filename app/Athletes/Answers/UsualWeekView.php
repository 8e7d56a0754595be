<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** A declared usual week in units. */
final readonly class UsualWeekView
{
    public function __construct(
        public float $arm,
        public float $landings,
    ) {}
}
