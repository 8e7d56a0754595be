<?php

declare(strict_types=1);

namespace App\Film\Answers;

final readonly class ClipRepView
{
    public function __construct(
        public int $rep,
        /** @var list<ClipMarkView> */
        public array $marks,
        /** @var list<FilmFigureView> */
        public array $figures,
        /** @var list<string> times between the moments, where it is known how fast it was filmed */
        public array $times,
    ) {}
}
