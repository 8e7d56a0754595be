<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** Where the club trains, with what is there. */
final readonly class VenueView
{
    public function __construct(
        public string $id,
        public string $name,
        public ?float $length_m,
        public ?float $width_m,
        /** @var 'soft'|'sprung'|'firm'|'hard'|null null: not known, and counts as hard */
        public ?string $floor,
        public ?int $balls,
        /** @var list<string>|null ids of the library; null: whatever is asked for is there */
        public ?array $objects,
    ) {}
}
