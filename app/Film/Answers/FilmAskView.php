<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** What whoever holds a personal page has agreed to of film, and the clip the coach asked for. */
final readonly class FilmAskView
{
    public function __construct(
        public bool $agreed,
        /** to single pictures being saved, too */
        public bool $pictures,
        /** the athlete’s own page; else a guardian’s */
        public bool $as_athlete,
        public ?AskedClipView $clip,
        /** whether this side agreed to its being sent in */
        public bool $sends,
    ) {}
}
