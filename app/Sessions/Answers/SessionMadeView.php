<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** What became of planning a session. */
final readonly class SessionMadeView
{
    public function __construct(
        public int $sheets,
        /** @var list<string> */
        public array $left_out,
    ) {}
}
