<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A station as it is set, and what is worked there. */
#[OA\Schema]
final readonly class StationView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $kinds,
        #[OA\Property]
        public float $length_m,
        #[OA\Property]
        public int $capacity,
        #[OA\Property]
        public bool $needs_adult,
        #[OA\Property(enum: ['soft', 'sprung', 'firm', 'hard'])]
        public ?string $surface,
        #[OA\Property]
        public bool $gloves,
        #[OA\Property]
        public int $balls_each,
        /** closed: no time, no adult or nobody for it */
        #[OA\Property]
        public bool $open,
        /** @var list<string> titles of the blocks */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $work,
    ) {}
}
