<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** A moment of a repetition, as points alone: enough to draw the figure again. */
final readonly class ClipMarkView
{
    public function __construct(
        public string $moment,
        public float $time_s,
        /** @var array<string, list<float>>|\stdClass x and y in pixels by landmark */
        public array|\stdClass $points,
        /** id of the saved picture */
        public ?string $picture,
        /** when it was erased, in words; null: it was not, or none was saved */
        public ?string $picture_gone,
    ) {}
}
