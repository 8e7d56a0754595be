<?php

declare(strict_types=1);

namespace App\People\Answers;

/** A link that can still be used. */
final readonly class LinkView
{
    public function __construct(
        public int $id,
        public string $purpose,
        public string $label,
        public string $expires_on,
    ) {}
}
