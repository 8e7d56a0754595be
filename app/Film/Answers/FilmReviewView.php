<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** What a review says, behind a link and without an account. */
final readonly class FilmReviewView
{
    public function __construct(
        public string $given_name,
        /** @format date */
        public string $made_on,
        public string $by,
        public string $ladder_name,
        public string $rung_name,
        /** @var 'left'|'right' the side it is done with */
        public string $side,
        /** @var list<FilmReviewPointView> up to three, in order */
        public array $points,
        /** what to film next */
        public ?string $next_time,
        /** @var list<FilmReviewLookView> to be looked at before the points are read */
        public array $looks,
        /** on how many both said the same, in words; null: nothing was said yet */
        public ?string $agreement,
    ) {}
}
