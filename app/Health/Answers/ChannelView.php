<?php

declare(strict_types=1);

namespace App\Health\Answers;

/** The word of one part of the body, with its reasons. */
final readonly class ChannelView
{
    public function __construct(
        /** @var 'arm'|'hand'|'trunk'|'landing' */
        public string $channel,
        /** @var 'full'|'unknown'|'reduced'|'none'|'refer' */
        public string $word,
        /** @var list<ReasonView> */
        public array $reasons,
    ) {}
}
