<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** What became of planning sessions. */
final readonly class SessionMadeView
{
    public function __construct(
        /** all of it can be taken back by this */
        public string $change_id,
        public int $sessions,
        /** made now; those of later weeks are made when their day comes near */
        public int $sheets,
        /** @var list<string> */
        public array $left_out,
    ) {}
}
