<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A session of the squad ahead. */
#[OA\Schema]
final readonly class PlannedSessionView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(format: 'date')]
        public string $day,
        #[OA\Property]
        public string $starts_at,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $sheets,
        /** planned in all */
        #[OA\Property]
        public int $reps,
    ) {}
}
