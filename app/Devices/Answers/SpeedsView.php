<?php

declare(strict_types=1);

namespace App\Devices\Answers;

/** Speeds of one athlete with one skill in a session, in order. */
final readonly class SpeedsView
{
    public function __construct(
        public string $athlete_id,
        public string $athlete,
        public string $skill,
        public string $skill_name,
        /** @var list<float> m/s */
        public array $speeds_ms,
        public float $median_ms,
        /** of the last third against the first, in shares of it; null with fewer than nine */
        public ?float $fade,
        /** repetitions before it dropped and stayed down; null: it did not, or too few to tell */
        public ?int $drops_after,
        /** @var list<float> m/s so far off the rest that they may be of another ball */
        public array $outliers_ms,
        public float $fastest_ms,
        /** the fastest on record, m/s; null: none is */
        public ?float $reference_ms,
        /** effort asked and effort the speed implies, each in the middle, 0 to 1; null: nothing is known to hold it against */
        public ?float $asked,
        public ?float $implied,
    ) {}
}
