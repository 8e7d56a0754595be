<?php

declare(strict_types=1);

namespace App\Library\Answers;

/** A block of a rung that is not kept yet, as it would be done. */
final readonly class PreviewBlockView
{
    public function __construct(
        public string $kind_name,
        public string $title,
        public string $text,
        public int $sets,
        public int $reps,
        public float $effort,
        public ?float $distance_m,
        public string $object,
        public int $rest_s,
        public ?int $hold_s,
        public ?string $how,
        public bool $judged,
        public bool $other_side,
    ) {}
}
