<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** A place somebody is signed in. */
final readonly class PlaceView
{
    public function __construct(
        public string $id,
        public string $browser,
        public string $last_seen,
        public bool $here,
    ) {}
}
