<?php

declare(strict_types=1);

namespace App\Film\Answers;

final readonly class FilmCheckpointView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $good,
        /** whether a fault there can hurt: no measure rules it out */
        public bool $safety,
        public ?FilmMeasureView $measure,
    ) {}
}
