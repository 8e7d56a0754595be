<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** A rung by its name and place on the ladder. */
final readonly class RungRefView
{
    public function __construct(
        public string $ladder,
        public string $ladder_name,
        public string $rung,
        public string $rung_name,
        /** from 1 */
        public int $position,
        public int $of,
    ) {}
}
