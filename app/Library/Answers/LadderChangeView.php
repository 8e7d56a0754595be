<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** One place at which the two differ. */
final readonly class LadderChangeView
{
    public function __construct(
        /** names the place in a request */
        public string $pointer,
        /** the place, as a person finds it */
        public string $place,
        /** null: it is not there */
        public ?string $ours,
        public ?string $theirs,
        /** @var 'ours'|'theirs'|'both'|null who has changed it since the copy was made; null: not known */
        public ?string $since,
    ) {}
}
