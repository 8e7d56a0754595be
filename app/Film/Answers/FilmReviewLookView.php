<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** A picture to be looked at with one's own eyes, before the coach's word of it is read. */
final readonly class FilmReviewLookView
{
    public function __construct(
        public string $clip_id,
        public int $rep,
        /** id of the checkpoint */
        public string $checkpoint,
        public string $name,
        public string $good,
        public string $moment,
        /** @var array<string, list<float>>|\stdClass x and y in pixels by landmark */
        public array|\stdClass $points,
        /** the saved picture of it, base64; null: none was saved */
        public ?string $jpeg,
        /** @var 'left'|'right' where in the picture the target lies */
        public string $target,
        /** @var 'right'|'wrong'|null what was said here */
        public ?string $own,
        /** @var 'right'|'wrong'|null what the coach said; null until it was said here */
        public ?string $coach,
    ) {}
}
