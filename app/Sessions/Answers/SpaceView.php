<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A part of the field or hall, as it is set. */
final readonly class SpaceView
{
    public function __construct(
        public string $id,
        public string $title,
        public float $length_m,
        /** so many work side by side */
        public int $lanes,
        /** @var 'soft'|'sprung'|'firm'|'hard'|null null: as the session's floor */
        public ?string $surface,
        /** kept free for what flies far */
        public bool $sector,
    ) {}
}
