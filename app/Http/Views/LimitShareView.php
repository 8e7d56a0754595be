<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What one athlete has of a limit. */
#[OA\Schema]
final readonly class LimitShareView
{
    public function __construct(
        #[OA\Property]
        public string $athlete_id,
        #[OA\Property]
        public string $athlete_name,
        #[OA\Property]
        public string $limit_id,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public float $share,
        #[OA\Property]
        public ?string $reason,
        #[OA\Property]
        public string $by,
        #[OA\Property(format: 'date')]
        public string $day,
    ) {}
}
