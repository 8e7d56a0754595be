<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** One thing to work on: what good looks like, what was seen, what to feel, and the drill. */
final readonly class FilmReviewPointView
{
    public function __construct(
        public string $checkpoint,
        public string $good,
        public string $seen,
        public string $cue,
        public string $drill,
        public ?string $dose,
        public string $moment,
        /** @var array<string, list<float>>|\stdClass x and y in pixels by landmark; empty where the clip was taken back */
        public array|\stdClass $points,
        /** the saved picture of it, base64; null: none was saved, or it was taken back */
        public ?string $jpeg,
        /** @var 'left'|'right' where in the picture the target lies */
        public string $target,
    ) {}
}
