<?php

declare(strict_types=1);

namespace App\Film\Answers;

/** What a picture is asked about a checkpoint. */
final readonly class FilmMeasureView
{
    public function __construct(
        public string $moment,
        /** @format one of the core’s figures */
        public string $figure,
        public string $name,
        /** @var 'deg'|'trunk' degrees, or lengths of the trunk */
        public string $unit,
        public ?float $low,
        public ?float $high,
        /** @var list<string> landmarks it is made of, for this athlete’s side */
        public array $needs,
        public bool $needs_runway,
    ) {}
}
