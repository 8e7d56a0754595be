<?php

declare(strict_types=1);

namespace App\Flight\Answers;

use Augendo\Core\Flight\Arc;

/** One way through the air, to be drawn. */
final readonly class ArcView
{
    public function __construct(
        public string $name,
        public float $elevation_deg,
        public float $apex_m,
        public float $time_s,
        public float $speed_ms,
        /** @var list<list<float>> metres along and above the ground, of each point */
        public array $points,
    ) {}

    public static function of(string $name, Arc $arc, float $speedMs): self
    {
        return new self(
            $name,
            round($arc->elevationDeg, 1),
            round($arc->apexM, 2),
            round($arc->landing->timeS, 2),
            round($speedMs, 2),
            array_map(fn (array $at): array => [round($at[0], 3), round($at[1], 3)], $arc->points),
        );
    }
}
