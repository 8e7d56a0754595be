<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** A clip the coach asked for. */
final readonly class AskedClipView
{
    public function __construct(
        public string $id,
        public string $ladder,
        /** what to film, in the coach’s words */
        public string $what,
        /** day and hour of the club, in words */
        public string $open_until,
        public bool $sent,
        /** whether it stays after the review */
        public bool $kept,
        /** whether everybody who is asked agreed to its being sent */
        public bool $agreed,
        /** it is sent in parts of so many bytes */
        public int $part_bytes,
        public int $most_bytes,
    ) {}
}
