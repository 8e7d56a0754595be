<?php

declare(strict_types=1);

namespace App\Devices\Answers;

final readonly class ReadingView
{
    public function __construct(
        public string $id,
        public string $device,
        /** seconds since 1970, by our clock */
        public float $at_s,
        public string $said,
        /** @var 'time'|'hand'|null how it was paired */
        public ?string $paired,
        public ?ReadingTapView $tap,
        /** @var 'aside'|'counts'|null what a person said of it */
        public ?string $word,
    ) {}
}
