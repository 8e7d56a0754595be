<?php

declare(strict_types=1);

namespace App\People\Answers;

/** A link that was made; its token is shown this once. */
final readonly class TokenView
{
    public function __construct(
        public string $token,
        public string $expires_on,
        /** a word that opens it, to be told on another way; null: it opens without */
        public ?string $word = null,
    ) {}
}
