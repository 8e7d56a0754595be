<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A session sheet by its state. */
#[OA\Schema]
final readonly class SheetRefView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $starts_at,
        #[OA\Property]
        public string $held_on,
        #[OA\Property(enum: ['planned', 'running', 'finished'])]
        public string $state,
        #[OA\Property]
        public int $planned_reps,
        #[OA\Property]
        public int $done_reps,
        #[OA\Property]
        public int $trims,
        /** whether trimming left no counted repetition */
        #[OA\Property]
        public bool $nothing_left,
    ) {}
}
