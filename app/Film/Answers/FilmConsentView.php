<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** One consent to be filmed, in words. */
final readonly class FilmConsentView
{
    public function __construct(
        public string $id,
        public string $sentence,
        /** whether it opens the camera; if not, the sentence says why */
        public bool $holds,
        public bool $withdrawn,
    ) {}
}
