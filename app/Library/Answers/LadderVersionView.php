<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** A version of an own ladder. */
final readonly class LadderVersionView
{
    public function __construct(
        public int $version,
        public string $saved_at,
        public string $by,
    ) {}
}
