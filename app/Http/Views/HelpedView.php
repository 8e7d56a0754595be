<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What was tried, and what went with it. */
#[OA\Schema]
final readonly class HelpedView
{
    public function __construct(
        #[OA\Property]
        public string $tried,
        #[OA\Property]
        public string $ladder_name,
        #[OA\Property]
        public string $rung_name,
        #[OA\Property]
        public int $good,
        #[OA\Property]
        public int $n,
        #[OA\Property]
        public int $other_good,
        #[OA\Property]
        public int $other_n,
        #[OA\Property]
        public ?float $difference,
        #[OA\Property]
        public ?float $low,
        #[OA\Property]
        public ?float $high,
        #[OA\Property]
        public string $sentence,
        #[OA\Property(format: 'date')]
        public string $first_day,
        #[OA\Property(format: 'date')]
        public string $last_day,
    ) {}
}
