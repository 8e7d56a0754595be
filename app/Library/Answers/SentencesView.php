<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** What an act did, in words. */
final readonly class SentencesView
{
    public function __construct(
        /** @var list<string> */
        public array $sentences,
    ) {}
}
