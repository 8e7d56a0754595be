<?php

declare(strict_types=1);

namespace App\Devices\Answers;

/** Speeds of one athlete in a session, in order. */
final readonly class SpeedsView
{
    public function __construct(
        public string $athlete,
        /** @var list<float> m/s */
        public array $speeds_ms,
        public float $median_ms,
        /** of the last third against the first, in shares of it; null with fewer than nine */
        public ?float $fade,
    ) {}
}
