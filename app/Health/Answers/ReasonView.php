<?php

declare(strict_types=1);

namespace App\Health\Answers;

/** Why a channel has its word. */
final readonly class ReasonView
{
    public function __construct(
        /** @var 'full'|'unknown'|'reduced'|'none'|'refer' */
        public string $word,
        public string $sentence,
        public ?string $at,
    ) {}
}
