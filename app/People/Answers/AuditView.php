<?php

declare(strict_types=1);

namespace App\People\Answers;

/** Who did what. */
final readonly class AuditView
{
    public function __construct(
        public string $at,
        public string $by,
        public string $what,
        public ?string $about,
    ) {}
}
