<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One checkpoint over the months: first looks against the latest. */
#[OA\Schema]
final readonly class CheckpointProgressView
{
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property(format: 'date')]
        public string $from_day,
        #[OA\Property(format: 'date')]
        public string $to_day,
        #[OA\Property]
        public int $first_right,
        #[OA\Property]
        public int $first_seen,
        /** null while the first looks are all there is */
        #[OA\Property]
        public ?int $latest_right,
        #[OA\Property]
        public ?int $latest_seen,
        #[OA\Property(enum: ['better', 'worse', 'too few to tell'])]
        public string $says,
        #[OA\Property]
        public string $sentence,
    ) {}
}
