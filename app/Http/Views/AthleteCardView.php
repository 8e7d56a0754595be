<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** The athlete as named on every screen. */
#[OA\Schema]
final readonly class AthleteCardView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $given_name,
        #[OA\Property]
        public ?int $age,
        #[OA\Property(enum: ['right', 'left'])]
        public string $throwing_side,
        /** under nine: drawn faces stand for scores */
        #[OA\Property]
        public bool $young,
    ) {}
}
