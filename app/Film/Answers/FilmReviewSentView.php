<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** A review that was sent, as the film page lists it. */
final readonly class FilmReviewSentView
{
    public function __construct(
        public string $id,
        /** what it asks for, for whom, until when, and how often it was opened, in words */
        public string $sentence,
    ) {}
}
