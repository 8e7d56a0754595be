<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One score. */
#[OA\Schema]
final readonly class ScoreView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(format: 'date')]
        public string $day,
        #[OA\Property]
        public string $value,
        #[OA\Property]
        public string $detail,
        #[OA\Property]
        public bool $best,
    ) {}
}
