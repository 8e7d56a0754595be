<?php

declare(strict_types=1);

namespace App\Health\Answers;

/** A clearance on file. */
final readonly class ClearanceView
{
    public function __construct(
        public string $at,
        public string $sentence,
    ) {}
}
