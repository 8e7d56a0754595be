<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A station as it is set, and what is worked there. */
final readonly class StationView
{
    public function __construct(
        public string $id,
        public string $title,
        /** @var list<'warm_up'|'rehearsal'|'part'|'whole'|'target'|'game_like'|'other_side'|'cool_down'> of blocks done there */
        public array $kinds,
        public float $length_m,
        public int $capacity,
        public bool $needs_adult,
        /** @var 'soft'|'sprung'|'firm'|'hard'|null */
        public ?string $surface,
        public bool $gloves,
        public int $balls_each,
        /** closed: no time, no adult or nobody for it */
        public bool $open,
        /** @var list<string> titles of the blocks */
        public array $work,
    ) {}
}
